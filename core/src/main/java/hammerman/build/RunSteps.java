package hammerman.build;

import hammerman.chain.Path;
import hammerman.readymade.ReadyMadeUse;
import hammerman.unit.Figures;
import hammerman.unit.Reference;
import hammerman.unit.Unit;
import java.util.List;

/** The first run, gentle, and what to look at after it. */
final class RunSteps {
  private final Ground on;
  private final StepList steps;

  RunSteps(Ground on, StepList steps) {
    this.on = on;
    this.steps = steps;
  }

  void add() {
    double air = Reference.ROOM;
    double soc = Math.clamp(on.forecast().chain().ceiling(), 0.1, 1);
    double gentle = 0.2 * on.forecast().chain().demand().continuous();
    Path path = on.forecast().chain().path();
    double rest = path.voltage(0, soc, air, Path.Settling.TEN_SECONDS);
    double loaded = path.voltage(gentle, soc, air, Path.Settling.TEN_SECONDS);
    double room = 0.5 * (rest - loaded) + Meter.error(rest) + 0.02 * on.series();
    steps
        .step(
            Stage.RUN,
            "run.gentle",
            "First run at low effort: about %s for some ten seconds, and read the voltage under load."
                .formatted(Figures.of(gentle, Unit.AMPERE)))
        .tools("inline meter")
        .caution(
            "The first run on level ground, at walking pace, someone with you.",
            "Where you may use it, and with what power, local rules say.")
        .handles(Live.MACHINE)
        .protects()
        .expects(
            loaded,
            loaded - room,
            rest + Meter.error(rest),
            Unit.VOLT,
            "full it rests at %s; %s take it down to %s after ten seconds"
                .formatted(
                    Figures.of(rest, Unit.VOLT, 1),
                    Figures.of(gentle, Unit.AMPERE),
                    Figures.of(loaded, Unit.VOLT, 1)))
        .ifLow(
            "a joint or connector has too much resistance",
            "feel which one is warm; read across it")
        .ifLow("a weak group", "read the groups under the same load")
        .ifHigh("the current was less", "read it again together with the voltage")
        .gate();
    double most = Math.min(on.cell().temperatures().dischargeHighest() - 10, 318.15);
    steps
        .step(
            Stage.RUN,
            "run.touch",
            "After ten minutes stop and feel cells, strips, connectors and lugs. Type the warmest"
                + " you find, by the back of your hand or a thermometer.")
        .tools("thermometer")
        .caution("Touch the outside of covers only; what is bare is live.")
        .protects()
        .expects(
            Math.min(Math.max(most, 253.15), 303.15),
            253.15,
            most,
            Unit.CELSIUS,
            "at gentle effort nothing needs to be warmer than a hand bears")
        .ifHigh(
            "a lug or contact is loose", "switch off, let it cool, retighten, and read across it")
        .ifHigh("one group is warm", "read the groups under load")
        .gate();
    steps
        .step(
            Stage.RUN,
            "run.retighten",
            "After the first hour of use, switch off, take the fuse out, and retighten every screw"
                + " and lug; look for rubbed paper and pinched balance leads.")
        .tools("insulated tools")
        .handles(Live.ENDS)
        .protects()
        .add();
    ReadyMadeUse ready = on.design().readyMade();
    if (ready != null) {
      new ReadyMadeSteps(ready, steps).add();
    }
    List<String> last =
        List.of(
            "Note at Prove what the first full run gave.",
            "Read the groups again after a month: what has drifted by then will go on drifting.");
    steps.step(Stage.RUN, "run.note", String.join(" ", last)).add();
  }
}
