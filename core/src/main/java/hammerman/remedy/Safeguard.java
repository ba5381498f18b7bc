package hammerman.remedy;

import hammerman.circuit.Stress;
import hammerman.design.Design;
import hammerman.finding.Finding;
import hammerman.finding.Severity;
import hammerman.forecast.Forecast;
import hammerman.guard.Bms;
import hammerman.guard.Guard;
import java.util.EnumSet;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.stream.Collectors;
import java.util.stream.Stream;

/** Whether an edit cures a finding without doing harm elsewhere. */
final class Safeguard {
  /** Ways of stress that protections end. */
  private static final Set<Stress.Kind> PROTECTED =
      EnumSet.of(
          Stress.Kind.OVERLOAD,
          Stress.Kind.WITHSTAND,
          Stress.Kind.CLEARS,
          Stress.Kind.SHORT,
          Stress.Kind.LENGTH,
          Stress.Kind.VOLTAGE,
          Stress.Kind.OVERCHARGE,
          Stress.Kind.BRAKE_COLD,
          Stress.Kind.BRAKE_FULL,
          Stress.Kind.CHARGE_COLD,
          Stress.Kind.CHARGE_HOT,
          Stress.Kind.MISSING,
          Stress.Kind.SENSOR,
          Stress.Kind.MATCH,
          Stress.Kind.LOW);

  /**
   * Share by which what is wrong already may grow, as thicker wire lets more of a short through.
   */
  private static final double SAME = 0.05;

  private Safeguard() {}

  static boolean allows(Forecast now, Forecast then, Finding cured) {
    return then.judgements().stream().noneMatch(f -> f.id().equals(cured.id()))
        && nothingNewStops(now, then)
        && nothingTakenAway(now.design(), then.design())
        && nothingWeaker(now, then);
  }

  /** Returns whether all that stops after an edit was wrong before it. */
  static boolean nothingNewStops(Forecast now, Forecast then) {
    return newStops(now, then).isEmpty();
  }

  /** Returns the titles of what stops after an edit and was not wrong before it. */
  static List<String> newStops(Forecast now, Forecast then) {
    Set<String> before = wrong(now);
    return then.judgements().stream()
        .filter(f -> f.severity() == Severity.STOP && !before.contains(f.id()))
        .map(Finding::title)
        .toList();
  }

  /** Ids of what is wrong, also where another finding says it. */
  static Set<String> wrong(Forecast f) {
    return Stream.concat(
            f.judgements().stream().filter(x -> x.severity() != Severity.NOTE).map(Finding::id),
            f.circuit().stresses().stream().filter(Stress::exceeded).map(Stress::id))
        .collect(Collectors.toSet());
  }

  /** Returns whether every row that protection ends is as good as before, or within its limit. */
  static boolean nothingWeaker(Forecast now, Forecast then) {
    Map<String, Stress> before = new HashMap<>();
    now.circuit().stresses().forEach(s -> before.put(s.id(), s));
    return then.circuit().stresses().stream()
        .filter(s -> PROTECTED.contains(s.kind()) && s.exceeded())
        .allMatch(
            s -> {
              Stress was = before.get(s.id());
              return was != null
                  && was.exceeded()
                  && (was.protector().isEmpty() || notWorse(s, was));
            });
  }

  private static boolean notWorse(Stress s, Stress was) {
    double margin = was.measure().margin();
    return s.measure().margin() >= margin - SAME * Math.max(1, Math.abs(margin));
  }

  /** Returns whether every protection that there was is still there. */
  static boolean nothingTakenAway(Design now, Design then) {
    return kept(now.guard(), then.guard())
        && (now.second() == null
            || then.second() == null
            || kept(now.second().guard(), then.second().guard()));
  }

  private static boolean kept(Guard now, Guard then) {
    return (now.fuse().isEmpty() || then.fuse().isPresent())
        && (now.protection().bms().isEmpty() || then.protection().bms().isPresent())
        && (now.protection().inDischargePath().isEmpty()
            || then.protection().inDischargePath().isPresent())
        && (now.chargePort().fuse() == null || then.chargePort().fuse() != null)
        && (now.mainSwitch() == null || then.mainSwitch() != null)
        && sensors(then) >= sensors(now);
  }

  private static int sensors(Guard g) {
    return g.protection().bms().map(Bms::temperatureSensors).orElse(0) > 0 ? 1 : 0;
  }
}
