package hammerman.design;

import hammerman.unit.Figures;
import hammerman.unit.In;
import hammerman.unit.Unit;
import java.lang.reflect.InvocationTargetException;
import java.lang.reflect.RecordComponent;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Objects;
import java.util.Set;
import org.jspecify.annotations.Nullable;

/**
 * What differs between two states of a design, part by part, for runs made with either. Found by
 * walking the records, so that no part can be forgotten; names are those of their components.
 *
 * @param part that differs, such as “strip”
 * @param was its figures that differ, as they were
 * @param is as they are
 */
public record DesignDifference(String part, String was, String is) {
  /** Figures of a part that are named; of more it is said how many. */
  private static final int NAMED = 3;

  /**
   * What does not act on a run: money, words, and what is known of the cells, which a calibration
   * changes while they stay the same.
   */
  private static final Set<String> IDLE =
      Set.of("name", "price", "source", "locked", "id", "measured", "lot", "cell");

  /** A figure that differs. */
  private record Leaf(String part, String was, String is) {}

  /** Returns what differs in what a run is made with, in the order of the design. */
  public static List<DesignDifference> between(Design a, Design b) {
    List<Leaf> leaves = new ArrayList<>();
    walk("machine", "", null, a.duty().machine(), b.duty().machine(), leaves);
    if (!a.pack().cell().id().equals(b.pack().cell().id())) {
      leaves.add(new Leaf("cell", a.pack().cell().name(), b.pack().cell().name()));
    }
    parts(a.pack(), b.pack(), leaves);
    parts(a.guard(), b.guard(), leaves);
    walk("layout", "", null, a.fit(), b.fit(), leaves);
    walk("second pack", "", null, a.second(), b.second(), leaves);
    walk("ready-made battery", "", null, a.readyMade(), b.readyMade(), leaves);
    return leaves.stream()
        .map(Leaf::part)
        .distinct()
        .map(part -> of(part, leaves.stream().filter(l -> l.part().equals(part)).toList()))
        .toList();
  }

  private static DesignDifference of(String part, List<Leaf> leaves) {
    StringBuilder was = new StringBuilder();
    StringBuilder is = new StringBuilder();
    for (Leaf l : leaves.subList(0, Math.min(NAMED, leaves.size()))) {
      was.append(was.isEmpty() ? "" : ", ").append(l.was());
      is.append(is.isEmpty() ? "" : ", ").append(l.is());
    }
    int more = leaves.size() - NAMED;
    if (more > 0) {
      is.append(more == 1 ? " and one figure more" : " and %d figures more".formatted(more));
    }
    return new DesignDifference(part, was.toString(), is.toString());
  }

  /** Each component of a record is a part by itself. */
  private static void parts(Record a, Record b, List<Leaf> leaves) {
    for (RecordComponent c : a.getClass().getRecordComponents()) {
      if (!IDLE.contains(c.getName())) {
        String name = words(c.getName());
        walk(name, "", unit(c), value(c, a), value(c, b), leaves);
      }
    }
  }

  private static void walk(
      String part,
      String name,
      @Nullable Unit unit,
      @Nullable Object a,
      @Nullable Object b,
      List<Leaf> leaves) {
    if (Objects.equals(a, b)) {
      return;
    }
    if (a instanceof Record one
        && b instanceof Record other
        && one.getClass() == other.getClass()) {
      for (RecordComponent c : one.getClass().getRecordComponents()) {
        if (!IDLE.contains(c.getName())) {
          walk(part, words(c.getName()), unit(c), value(c, one), value(c, other), leaves);
        }
      }
      return;
    }
    if (a instanceof List<?> one && b instanceof List<?> other && one.size() == other.size()) {
      for (int k = 0; k < one.size(); k++) {
        walk(part, name, unit, one.get(k), other.get(k), leaves);
      }
      return;
    }
    leaves.add(new Leaf(part, text(name, unit, a), text(name, unit, b)));
  }

  private static String text(String name, @Nullable Unit unit, @Nullable Object value) {
    String shown =
        switch (value) {
          case null -> "none";
          case Double d when unit != null -> Figures.of(d, unit);
          case Double d -> Figures.number(d);
          case Enum<?> e -> e.name().toLowerCase(Locale.ROOT).replace('_', ' ');
          case Record r -> words(r.getClass().getSimpleName());
          case List<?> list -> list.size() + " of them";
          default -> value.toString();
        };
    return name.isEmpty() ? shown : name + " " + shown;
  }

  /** The words of a component's name: “chargeVoltage” is charge voltage. */
  private static String words(String name) {
    return name.replaceAll("(?<=[a-z0-9])(?=[A-Z])", " ").toLowerCase(Locale.ROOT);
  }

  private static @Nullable Unit unit(RecordComponent c) {
    In in = c.getAnnotation(In.class);
    return in == null ? null : in.value();
  }

  private static @Nullable Object value(RecordComponent c, Record of) {
    try {
      return c.getAccessor().invoke(of);
    } catch (IllegalAccessException | InvocationTargetException e) {
      throw new IllegalStateException("component " + c.getName() + " cannot be read", e);
    }
  }
}
