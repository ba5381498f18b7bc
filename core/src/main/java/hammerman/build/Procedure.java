package hammerman.build;

import hammerman.finding.Finding;
import hammerman.finding.Severity;
import hammerman.forecast.Forecast;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;

/**
 * The steps that build a design, in an order in which no step comes before what it needs, and
 * nothing live is handled before its protection is in place. What a reading should be follows from
 * the design, the very cells in it, and the readings taken before.
 *
 * @param steps in their order
 */
public record Procedure(List<Step> steps) {
  public Procedure {
    steps = List.copyOf(steps);
  }

  /** The procedure before anything was read. */
  public static Procedure of(Forecast forecast) {
    return of(forecast, Map.of());
  }

  /**
   * The procedure with what was read so far.
   *
   * @param readings by the id of their step, in the core's unit
   */
  public static Procedure of(Forecast forecast, Map<String, Double> readings) {
    List<Step> all = new ArrayList<>();
    List<Finding> stops =
        forecast.judgements().stream().filter(f -> f.severity() == Severity.STOP).toList();
    List<Ground> packs = OnePack.all(forecast).stream().map(p -> new Ground(p, readings)).toList();
    Ground first = packs.getFirst();
    Optional<Ground> second = packs.stream().skip(1).findFirst();
    boolean high =
        first.isHigh()
            || second.map(s -> first.pack().fullVoltage() + s.pack().fullVoltage()).orElse(0.0)
                > Ground.TOUCH;
    StepList steps = new StepList("", all, List.of(), stops);
    new CellSteps(first, steps).bench(high);
    List<String> bench = steps.ends();
    pack(first, steps, true);
    if (second.isPresent()) {
      StepList more = new StepList(Step.SECOND, all, bench, stops);
      pack(second.get(), more, false);
      List<String> both = new ArrayList<>(steps.ends());
      both.addAll(more.ends());
      StepList joined = new StepList("", all, both, stops);
      TwoPackSteps.add(first, second.get(), joined);
      new RunSteps(first, joined).add();
    } else {
      new RunSteps(first, steps).add();
    }
    return new Procedure(all);
  }

  /** One pack from its cells to its first charge. */
  private static void pack(Ground on, StepList steps, boolean machineSide) {
    new CellSteps(on, steps).cells();
    StringSteps string = new StringSteps(on, steps);
    string.join();
    BalanceSteps balance = new BalanceSteps(on, steps);
    balance.fit();
    string.close();
    balance.protect();
    WiringSteps wiring = new WiringSteps(on, steps);
    wiring.wire(machineSide);
    wiring.settings(machineSide);
    new PowerSteps(on, steps).add(machineSide);
    new ChargeSteps(on, steps).add();
  }

  /** Returns a step by its id. */
  public Optional<Step> step(String id) {
    return steps.stream().filter(s -> s.id().equals(id)).findFirst();
  }

  /** Returns the steps by their ids, in their order. */
  public Map<String, Step> byId() {
    Map<String, Step> all = new LinkedHashMap<>();
    steps.forEach(s -> all.put(s.id(), s));
    return all;
  }
}
