package hammerman.build;

import hammerman.finding.Finding;
import hammerman.unit.Dimension;
import hammerman.unit.Figures;
import hammerman.unit.Unit;
import java.util.ArrayList;
import java.util.EnumSet;
import java.util.List;
import java.util.Set;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;

/**
 * Steps as they are put together. A gate is a step that all steps since the last gate come before,
 * and all later ones after; between two gates the order is free but for what a step names itself.
 */
final class StepList {
  private final String prefix;
  private final List<Step> steps;
  private final List<Finding> stops;
  private List<String> gate;
  private final List<String> sinceGate = new ArrayList<>();

  /**
   * @param prefix of the ids
   * @param steps to add to
   * @param gate what all of them need
   * @param stops findings of the design that must be resolved before it is built
   */
  StepList(String prefix, List<Step> steps, List<String> gate, List<Finding> stops) {
    this.stops = List.copyOf(stops);
    this.prefix = prefix;
    this.steps = steps;
    this.gate = List.copyOf(gate);
  }

  /** Begins a step. */
  Draft step(Stage stage, String id, String text) {
    return new Draft(stage, id, text);
  }

  /** Returns the ids that whatever follows all of these needs. */
  List<String> ends() {
    return sinceGate.isEmpty() ? gate : List.copyOf(sinceGate);
  }

  /** A step under way. */
  final class Draft {
    private final Stage stage;
    private final String id;
    private final String text;
    private final List<String> tools = new ArrayList<>();
    private final List<String> cautions = new ArrayList<>();
    private final Set<Live> handles = EnumSet.noneOf(Live.class);
    private final Set<Live> makesSafe = EnumSet.noneOf(Live.class);
    private final List<String> needs = new ArrayList<>();
    private final List<Cause> low = new ArrayList<>();
    private final List<Cause> high = new ArrayList<>();
    private boolean protects;
    private @Nullable Expected expected;
    private Place place = new Place.Whole();

    private Draft(Stage stage, String id, String text) {
      this.stage = stage;
      this.id = id;
      this.text = text;
    }

    Draft tools(String... names) {
      tools.addAll(List.of(names));
      return this;
    }

    Draft caution(String... words) {
      cautions.addAll(List.of(words));
      return this;
    }

    Draft handles(Live... live) {
      handles.addAll(List.of(live));
      return this;
    }

    Draft makesSafe(Live... live) {
      makesSafe.addAll(List.of(live));
      return this;
    }

    Draft needs(String own) {
      needs.add(prefix + own);
      return this;
    }

    Draft protects() {
      protects = true;
      return this;
    }

    Draft at(Place where) {
      place = where;
      return this;
    }

    Draft expects(Expected what) {
      expected = what;
      return this;
    }

    /**
     * What should be read. Where the design contradicts itself, so that what it would give is not
     * what is safe, only what is safe is let pass, and the findings are said at the step.
     */
    Draft expects(double value, double low, double high, Unit unit, String why) {
      if (low <= value && value <= high) {
        return expects(new Expected(value, low, high, unit, why));
      }
      cautions.add(contradiction(value, high, unit));
      double least = Math.min(low, high);
      return Double.isNaN(value + least)
          ? this
          : expects(new Expected(Math.clamp(value, least, high), least, high, unit, why));
    }

    private String contradiction(double value, double high, Unit unit) {
      String design =
          value > high
              ? "The design would give %s here, and no more than %s is allowed."
                  .formatted(
                      Figures.of(value, unit, unit.dimension() == Dimension.VOLTAGE ? 2 : 1),
                      Figures.of(high, unit, unit.dimension() == Dimension.VOLTAGE ? 2 : 1))
              : "The design contradicts itself here.";
      String why =
          stops.stream()
              .limit(3)
              .map(f -> f.title() + ".")
              .collect(Collectors.joining(" ", " Stop, and resolve this first: ", ""));
      return design + (stops.isEmpty() ? " Stop, and check the design first." : why);
    }

    Draft ifLow(String say, String next) {
      low.add(new Cause(say, next, null));
      return this;
    }

    /** A cause of a low reading that would read just so. */
    Draft ifReads(double reads, String say, String next) {
      low.add(new Cause(say, next, reads));
      return this;
    }

    Draft ifHigh(String say, String next) {
      high.add(new Cause(say, next, null));
      return this;
    }

    /** Adds it. */
    void add() {
      List<String> all = new ArrayList<>(gate);
      needs.stream().filter(n -> !all.contains(n)).forEach(all::add);
      put(all);
      sinceGate.add(prefix + id);
    }

    /** Adds it as a gate. */
    void gate() {
      List<String> all = new ArrayList<>(ends());
      needs.stream().filter(n -> !all.contains(n)).forEach(all::add);
      put(all);
      gate = List.of(prefix + id);
      sinceGate.clear();
    }

    private void put(List<String> all) {
      Expected e = expected;
      steps.add(
          new Step(
              prefix + id,
              stage,
              text,
              tools,
              new Safety(cautions, protects, handles, makesSafe),
              e == null ? null : new Check(e, low, high),
              all,
              place));
    }
  }
}
