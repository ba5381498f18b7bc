package hammerman.remedy;

import hammerman.design.Design;
import hammerman.finding.Finding;
import hammerman.forecast.Forecast;
import hammerman.guard.Parts;
import hammerman.pack.Pack;
import hammerman.unit.Figures;
import hammerman.unit.Unit;
import java.util.ArrayList;
import java.util.List;
import java.util.StringJoiner;
import java.util.function.BooleanSupplier;

/**
 * An edit that cures a finding, tried: the finding is gone, nothing new is stopped, and no
 * protection is weaker than before. Where none is found, nothing helps but what the finding says.
 *
 * @param what is done, with sizes that can be bought
 * @param design with it done
 * @param effect what it changes, in figures
 */
public record Remedy(String what, Design design, String effect) {
  /** So many are offered. */
  private static final int MOST = 3;

  /**
   * Returns what cures a finding of a forecast, the usual first. Some ten milliseconds for each
   * edit tried.
   *
   * @param parts what can be bought
   */
  public static List<Remedy> of(Forecast now, Finding finding, Parts parts) {
    return of(now, finding, parts, () -> false);
  }

  /**
   * As above, until done or cancelled.
   *
   * @param cancelled asked between trials; when true the search ends with what it has
   */
  public static List<Remedy> of(
      Forecast now, Finding finding, Parts parts, BooleanSupplier cancelled) {
    List<Remedy> found = new ArrayList<>();
    for (Edit edit : Edits.of(now, finding, parts)) {
      if (cancelled.getAsBoolean()) {
        break;
      }
      if (found.size() < MOST && !edit.design().equals(now.design())) {
        Forecast then = Forecast.of(edit.design());
        if (Safeguard.allows(now, then, finding)) {
          found.add(new Remedy(edit.what(), edit.design(), effect(now, then, finding)));
        }
      }
    }
    return List.copyOf(found);
  }

  /** What an edit changes: the margin of what was compared, mass and money. */
  private static String effect(Forecast now, Forecast then, Finding finding) {
    StringJoiner all = new StringJoiner("; ");
    then.circuit().stresses().stream()
        .filter(s -> s.id().equals(finding.id()))
        .findFirst()
        .ifPresentOrElse(
            s ->
                all.add(
                    "margin %s becomes %s"
                        .formatted(finding.measure().marginWords(), s.measure().marginWords())),
            () -> all.add("cured"));
    double mass = mass(then) - mass(now);
    if (Math.abs(mass) > 0.005) {
      all.add(sign(mass) + Figures.of(Math.abs(mass), Unit.KILOGRAM));
    }
    double cost = cost(then) - cost(now);
    if (Math.abs(cost) > 0.5) {
      all.add(
          sign(cost)
              + now.design().duty().bounds().prices().money(Math.abs(cost), 0)
              + " for cells");
    }
    long worse =
        then.judgements().stream()
            .filter(f -> now.judgements().stream().noneMatch(before -> before.id().equals(f.id())))
            .count();
    if (worse > 0) {
      all.add(worse + (worse == 1 ? " new remark" : " new remarks"));
    }
    return all.toString();
  }

  private static String sign(double value) {
    return value < 0 ? "−" : "+";
  }

  private static double mass(Forecast f) {
    return f.design().packs().stream().mapToDouble(Pack::mass).sum();
  }

  private static double cost(Forecast f) {
    return f.design().packs().stream().mapToDouble(Pack::cost).sum();
  }
}
