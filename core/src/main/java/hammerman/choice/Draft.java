package hammerman.choice;

import hammerman.chain.Chain;
import hammerman.chain.Demand;
import hammerman.circuit.Circuit;
import hammerman.circuit.Part.Kind;
import hammerman.design.Design;
import hammerman.finding.Severity;
import hammerman.guard.Guard;
import hammerman.guard.Guard.Part;
import hammerman.guard.Parts;
import hammerman.judgement.Judge;
import hammerman.unit.Figures;
import hammerman.unit.Sentence;
import hammerman.unit.Unit;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.EnumSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;

/** One selection under way: what is chosen so far, and what stands against it. */
final class Draft {
  /** Notes that count against a part all the same. */
  private static final Set<String> MATTERS = Set.of("wire.drop", "precharge.spark");

  private final Design design;
  private final Parts parts;
  private final Chain chain;
  private final Circuit circuit;
  private final List<Choice> choices = new ArrayList<>();
  private Guard guard;

  Draft(Design design, Parts parts) {
    this.design = design;
    this.parts = parts;
    this.chain = Chain.of(design);
    this.circuit = Circuit.of(chain, Optional.empty());
    this.guard = design.guard();
  }

  Design design() {
    return design;
  }

  Parts parts() {
    return parts;
  }

  Chain chain() {
    return chain;
  }

  Demand demand() {
    return chain.demand();
  }

  /** The hottest air in use, K. */
  double hottest() {
    return design.duty().surroundings().hottestInUse();
  }

  /** The highest voltage that the pack has, V. */
  double highest() {
    return chain.supply().highest();
  }

  Guard guard() {
    return guard;
  }

  void take(Guard chosen) {
    guard = chosen;
  }

  Selection done() {
    return new Selection(guard, choices);
  }

  /** What the stress table says against some kinds of part, in a few words; empty for nothing. */
  String against(Guard tried, Kind... kinds) {
    return Judge.read(circuit.rewired(tried), EnumSet.copyOf(Arrays.asList(kinds))).stream()
        .filter(f -> f.severity() != Severity.NOTE || MATTERS.contains(f.id()))
        .findFirst()
        .map(f -> Sentence.within(f.title()))
        .orElse("");
  }

  boolean locked(Part part, String now) {
    if (guard.locked().contains(part)) {
      choices.add(new Choice(part, now, "Locked by you; kept as it is.", "", "", true));
      return true;
    }
    return false;
  }

  void add(Part part, String chosen, String why, String smaller, String larger) {
    choices.add(new Choice(part, chosen, why, smaller, larger, false));
  }

  static String amperes(double a) {
    return Figures.compact(a) + " A";
  }

  static String volts(double v) {
    return Figures.of(v, Unit.VOLT, 1);
  }
}
