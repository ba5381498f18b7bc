package hammerman.remedy;

import hammerman.chain.Junction;
import hammerman.chain.Path;
import hammerman.design.Design;
import hammerman.design.SecondPack;
import hammerman.design.SecondPack.Joining;
import hammerman.finding.Finding;
import hammerman.forecast.Forecast;
import hammerman.guard.BmsClass;
import hammerman.guard.Guard;
import hammerman.guard.Parts;
import hammerman.pack.Cooling;
import hammerman.pack.Pack;
import hammerman.readymade.ReadyMadeUse;
import hammerman.simulation.StartRun;
import hammerman.unit.Figures;
import hammerman.unit.Unit;
import java.util.Objects;
import java.util.function.Function;

/** Edits about the machine, two packs, standing and the duty. */
final class DutyEdits extends Attempt {
  DutyEdits(Forecast now, Finding finding, Parts parts) {
    super(now, finding, parts);
  }

  @Override
  void fill() {
    switch (part()) {
      case "machine" -> machine();
      case "junction" -> junction();
      case "pack" -> pack();
      case "readyMade" -> readyMade();
      case "duty" -> duty();
      default -> {}
    }
  }

  private void machine() {
    switch (id) {
      case "machine.floor" -> {
        for (int n = 1; n <= 3; n++) {
          int s = thePack().series() + n;
          add(s + " in series", () -> counts(s, thePack().parallel()));
        }
        parallel();
        softer();
        lowerCutOut();
      }
      case "machine.voltage" -> {
        fewerSeries();
        if (design.second() != null && design.second().joining() == Joining.SERIES) {
          add("Leave the second pack out", () -> design.withSecond(null));
        } else if (design.second() != null) {
          equalSecond();
        }
        double v = Math.floor(design.duty().machine().maximumVoltage() * 100 + 1e-6) / 100;
        add("Set the charger to " + volts(v), () -> with(charged(v)));
      }
      default -> {
        fewerSeries();
        if (design.second() != null) {
          equalSecond();
        }
      }
    }
  }

  /** Lets the machine work down to what the hardest moment leaves of a tenth of the charge. */
  private void lowerCutOut() {
    double cold = design.duty().surroundings().coldestInUse();
    double left =
        now.chain()
            .supply()
            .split(design.duty().hardest().current(), 0.1, cold, Path.Settling.TEN_SECONDS)
            .voltage();
    double v = Math.floor(left * 10 + 1e-6) / 10;
    if (v < design.duty().machine().cutOutVoltage()) {
      add(
          "If the machine allows it, let it cut out at " + Figures.of(v, Unit.VOLT, 1),
          () -> withMachine(m -> m.withCutOutVoltage(v)));
    }
  }

  private void softer() {
    for (double share : new double[] {0.9, 0.8, 0.7, 0.6}) {
      double peak = floor(design.duty().hardest().current() * share);
      Design d =
          withDuty(
              x ->
                  x.withHardest(x.hardest().withCurrent(peak))
                      .withMachine(
                          x.machine().withPeakCurrent(Math.min(x.machine().peakCurrent(), peak))));
      if (clean(d)) {
        edits.add(
            new Edit(
                "Soften “%s” to %s A"
                    .formatted(design.duty().hardest().name(), Figures.compact(peak)),
                d));
        return;
      }
    }
  }

  private void equalSecond() {
    SecondPack s = Objects.requireNonNull(design.second());
    int series = design.pack().series();
    Pack p = design.pack().withCounts(series, s.pack().parallel());
    Guard g =
        s.guard()
            .withCharge(s.guard().charge().withVoltage(design.guard().charge().voltage()))
            .withProtection(
                s.guard()
                    .protection()
                    .withBms(
                        b ->
                            b.withSeries(series)
                                .withVoltages(
                                    BmsClass.cutOffFor(p.cell()),
                                    BmsClass.overVoltageFor(p.cell()))));
    add(
        "A second pack of the same cells, " + p.counts(),
        () -> design.withSecond(s.withPack(p).withGuard(g)));
  }

  private void junction() {
    SecondPack s = Objects.requireNonNull(design.second());
    switch (id) {
      case "junction.gap", "junction.brakeCold" -> {
        Junction j = Junction.of(now.chain()).orElseThrow();
        double perCell = j.first() / s.pack().series();
        double soc = s.pack().cell().openCircuit().inverse(perCell);
        add(
            "Bring the second to %s first, %s"
                .formatted(volts(j.first()), Figures.of(soc, Unit.PERCENT, 0)),
            () -> design.withSecond(s.withSoc(Math.clamp(soc, 0, 1))));
        add("Join them through diodes", () -> design.withSecond(s.withJoining(Joining.DIODES)));
      }
      default -> {
        equalSecond();
        add(
            "Keep the second as a reserve, switched over",
            () -> design.withSecond(s.withJoining(Joining.SWITCH_OVER)));
        add("Join them through diodes", () -> design.withSecond(s.withJoining(Joining.DIODES)));
      }
    }
  }

  private void pack() {
    double limit = finding.measure().limit();
    switch (id) {
      case "pack.days" -> {
        if (design.guard().mainSwitch() == null) {
          first(
              parts.switches(),
              s -> "Switch it off: " + s.name(),
              s -> design.withGuard(design.guard().withMainSwitch(s)),
              "switch.");
        }
        double often = Math.floor(finding.measure().value() / 2 / 86400) * 86400;
        add(
            "Charge it again every " + Figures.of(often, Unit.DAY, 0),
            () -> withDuty(d -> d.withHabits(d.habits().withLongestRest(often))));
      }
      case "pack.storedFull", "pack.storedEmpty" ->
          add(
              "Let it wait at 50 %",
              () -> withDuty(d -> d.withHabits(d.habits().withStorageSoc(0.5))));
      case "pack.storedHot" -> {
        add(
            "Let it wait at 50 %",
            () -> withDuty(d -> d.withHabits(d.habits().withStorageSoc(0.5))));
        add(
            "Keep it below " + Figures.of(limit, Unit.CELSIUS, 0),
            () ->
                withDuty(
                    d ->
                        d.withSurroundings(
                            d.surroundings()
                                .withColdestStored(
                                    Math.min(limit, d.surroundings().coldestStored()))
                                .withHottestStored(limit))));
      }
      default -> {
        fewerSeries();
        if (design.second() != null && design.second().joining() == Joining.SERIES) {
          add("Leave the second pack out", () -> design.withSecond(null));
        }
      }
    }
  }

  private void readyMade() {
    ReadyMadeUse use = Objects.requireNonNull(design.readyMade());
    double longest = 0;
    for (double soc : new double[] {1, 0.5, 0.2}) {
      longest =
          Math.max(
              longest,
              StartRun.shortestRamp(use.battery(), use.start(), soc)
                  .orElse(Double.POSITIVE_INFINITY));
    }
    if (Double.isFinite(longest)) {
      double ramp = Math.ceil(longest * 20) / 20;
      add(
          "A ramp of " + Figures.of(ramp, Unit.SECOND),
          () -> design.withReadyMade(use.withStart(use.start().withRamp(ramp))));
    }
    double cap = floor(0.95 * use.battery().tripCurrent());
    add(
        "A current limit of " + Figures.compact(cap) + " A",
        () -> design.withReadyMade(use.withStart(use.start().withRamp(0).withCap(cap))));
  }

  private void duty() {
    switch (id) {
      case "duty.trips" -> bmsClasses();
      case "duty.peakAboveMachine" ->
          add(
              "Enter the hardest moment as the machine's limit",
              () ->
                  withDuty(d -> d.withHardest(d.hardest().withCurrent(d.machine().peakCurrent()))));
      case "duty.pair" -> {
        SecondPack s = Objects.requireNonNull(design.second());
        more(
            s.pack(),
            n -> design.withSecond(s.withPack(s.pack().withCounts(s.pack().series(), n))),
            " in parallel in the second");
      }
      case "duty.tooHot" -> {
        add("A fan", () -> design.withPack(design.pack().withCooling(Cooling.MOVING_AIR)));
        more(design.pack(), n -> counts(design.pack().series(), n), " in parallel");
      }
      case "duty.energyShort", "duty.cannotDeliver", "duty.coldDay", "duty.shortWhenWorn" -> {
        more(design.pack(), n -> counts(design.pack().series(), n), " in parallel");
        int s = design.pack().series() + 1;
        add(s + " in series", () -> counts(s, design.pack().parallel()));
      }
      default -> {}
    }
  }

  /** More in parallel, by what is short. */
  private void more(Pack p, Function<Integer, Design> change, String words) {
    double short1 =
        finding.measure().atLeast()
            ? finding.measure().limit() / Math.max(1e-9, finding.measure().value())
            : finding.measure().value() / finding.measure().limit();
    int least = (int) Math.ceil(p.parallel() * Math.clamp(short1, 1, 4) - 1e-9);
    for (int n = 0; n < 3; n++) {
      int count = Math.max(p.parallel() + 1, least) + n * Math.max(1, p.parallel() / 6);
      add(count + words, () -> change.apply(count));
    }
  }
}
