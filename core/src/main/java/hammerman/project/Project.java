package hammerman.project;

import hammerman.design.Design;
import hammerman.design.SecondPack;
import hammerman.duty.Duty;
import hammerman.fit.FitPlan;
import hammerman.guard.Guard;
import hammerman.pack.Pack;
import hammerman.readymade.ReadyMadeUse;
import hammerman.sort.SortPlan;
import hammerman.unit.InvalidValue;
import hammerman.unit.Valid;
import io.soabase.recordbuilder.core.RecordBuilder;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import org.jspecify.annotations.Nullable;

/**
 * A project: one duty, and one or more variants that try to serve it.
 *
 * @param name what it is called
 * @param notes free text
 * @param duty what the pack must do; shared by all variants
 * @param variants designs tried, at least one
 * @param active index of the variant being worked on
 * @param sorting how its cells are measured, put aside and matched; absent while that is as usual
 */
@RecordBuilder
public record Project(
    String name,
    String notes,
    Duty duty,
    List<Variant> variants,
    int active,
    @Nullable SortPlan sorting)
    implements ProjectBuilder.With {

  /** The most variants in one project. */
  public static final int MOST_VARIANTS = 100;

  public Project {
    Valid.text("Project name", name);
    variants = List.copyOf(variants);
    Valid.count("Variants", variants.size(), 1, MOST_VARIANTS);
    Valid.count("Active variant", active, 0, variants.size() - 1);
    if (notes.length() > 100_000) {
      throw new InvalidValue(
          "Notes", notes.length() + " characters long", "100000 fit", "Shorten them.");
    }
  }

  /**
   * One way to serve the duty.
   *
   * @param name what it is called
   * @param pack what is built
   * @param guard what protects it
   * @param second a second pack used with it, if any
   * @param fit how it is fitted, if that was begun
   * @param readyMade a ready-made battery on the same machine, if any
   * @param acknowledged judgements that the user has taken note of
   */
  public record Variant(
      String name,
      Pack pack,
      Guard guard,
      @Nullable SecondPack second,
      @Nullable FitPlan fit,
      @Nullable ReadyMadeUse readyMade,
      List<Acknowledgement> acknowledged) {
    public Variant {
      Valid.text("Variant name", name);
      acknowledged = List.copyOf(acknowledged);
      Valid.count("Acknowledged judgements", acknowledged.size(), 0, 1000);
    }

    /** Returns why a judgement was acknowledged, if it was. */
    public Optional<String> reasonFor(String id) {
      return acknowledged.stream()
          .filter(a -> a.id().equals(id))
          .map(Acknowledgement::reason)
          .findFirst();
    }
  }

  /**
   * A judgement taken note of; it does not disappear.
   *
   * @param id of the rule
   * @param reason why it is left as it is
   */
  public record Acknowledgement(String id, String reason) {
    public Acknowledgement {
      Valid.text("Judgement", id);
      Valid.text("Reason", reason);
    }
  }

  /** Returns how its cells are sorted. */
  public SortPlan sortPlan() {
    return sorting == null ? SortPlan.USUAL : sorting;
  }

  /** Returns the variant being worked on. */
  public Variant variant() {
    return variants.get(active);
  }

  /** Returns the design being worked on. */
  public Design design() {
    Variant v = variant();
    return new Design(duty, v.pack(), v.guard(), v.second(), v.fit(), v.readyMade());
  }

  /** Returns this project with its active variant and duty taken from a design. */
  public Project withDesign(Design design) {
    List<Variant> changed = new ArrayList<>(variants);
    changed.set(
        active,
        new Variant(
            variant().name(),
            design.pack(),
            design.guard(),
            design.second(),
            design.fit(),
            design.readyMade(),
            variant().acknowledged()));
    return new Project(name, notes, design.duty(), changed, active, sorting);
  }

  /** Returns this project with a variant called otherwise. */
  public Project withVariantName(int index, String value) {
    List<Variant> changed = new ArrayList<>(variants);
    Variant v = variants.get(index);
    changed.set(
        index,
        new Variant(
            value, v.pack(), v.guard(), v.second(), v.fit(), v.readyMade(), v.acknowledged()));
    return new Project(name, notes, duty, changed, active, sorting);
  }

  /** Returns this project with a copy of the active variant added and made active. */
  public Project plusVariant(String variantName) {
    List<Variant> more = new ArrayList<>(variants);
    Variant v = variant();
    more.add(
        new Variant(
            variantName,
            v.pack(),
            v.guard(),
            v.second(),
            v.fit(),
            v.readyMade(),
            v.acknowledged()));
    return new Project(name, notes, duty, more, more.size() - 1, sorting);
  }

  /**
   * Returns this project with a judgement of the active variant acknowledged, or no longer.
   *
   * @param reason why it is left as it is; empty to take the acknowledgement back
   */
  public Project withAcknowledged(String id, Optional<String> reason) {
    List<Variant> changed = new ArrayList<>(variants);
    Variant v = variant();
    List<Acknowledgement> list = new ArrayList<>(v.acknowledged());
    list.removeIf(a -> a.id().equals(id));
    reason.ifPresent(r -> list.add(new Acknowledgement(id, r)));
    changed.set(
        active,
        new Variant(v.name(), v.pack(), v.guard(), v.second(), v.fit(), v.readyMade(), list));
    return new Project(name, notes, duty, changed, active, sorting);
  }

  /** Returns this project without the active variant; at least one other must be left. */
  public Project minusVariant() {
    List<Variant> fewer = new ArrayList<>(variants);
    fewer.remove(active);
    return new Project(name, notes, duty, fewer, Math.max(0, active - 1), sorting);
  }
}
