package hammerman.judgement;

import hammerman.circuit.Circuit;
import hammerman.circuit.Part;
import hammerman.circuit.Stress;
import hammerman.finding.Finding;
import hammerman.finding.Station;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Set;
import java.util.stream.Stream;

/** Judges a case: reads its stress table, and applies the rules about duty, bounds and fit. */
public final class Judge {
  private static final List<Rule> RULES =
      Stream.of(CellRules.ALL, DutyRules.ALL, BoundsRules.ALL, FitRules.ALL)
          .flatMap(List::stream)
          .toList();

  private Judge() {}

  /** Returns what is found, worst first, then in the order of the work. */
  public static List<Finding> judge(Case c) {
    return judge(c, c.circuit().stresses());
  }

  /** Returns only what cell and counts can mend, for quick looks at many designs. */
  public static List<Finding> stack(Case c) {
    return judge(c, c.circuit().stackStresses()).stream()
        .filter(f -> f.station() == Station.STACK)
        .toList();
  }

  private static List<Finding> judge(Case c, List<Stress> rows) {
    List<Finding> found = new ArrayList<>(Readings.of(c.circuit(), rows));
    RULES.forEach(r -> r.judge(c).ifPresent(found::add));
    found.sort(Comparator.comparing(Finding::severity).thenComparing(Finding::station));
    return found;
  }

  /** Returns what the stress table of a circuit says, in the order of its rows. */
  public static List<Finding> read(Circuit circuit) {
    return Readings.of(circuit, circuit.stresses());
  }

  /** Returns what the rows of a few kinds of part say, for choosing among many. */
  public static List<Finding> read(Circuit circuit, Set<Part.Kind> kinds) {
    return Readings.of(circuit, circuit.stresses(kinds));
  }

  /** Returns the ids of all that is looked at. */
  public static List<String> ids() {
    return Stream.concat(
            Readings.table().stream().map(k -> k.part().key() + "." + k.kind().key()),
            RULES.stream().map(Rule::id))
        .toList();
  }

  /** Returns the page of the documentation. */
  public static String page() {
    return """
    # Judgements

    This page is written by `./hammerman rules > docs/judgements.md`; a test holds it against the code.

    A design is judged as a careful electrician would: the circuit is walked, and every part is asked for the \
    worst that can happen to it, in which state, for how long, and who ends it. The answers are the rows of a \
    stress table; a row whose limit is passed is a finding. Each pack is a pack: what is found at a second one \
    has `second.` before its id.

    **Severity** is by consequence: a *stop* can burn, shock, vent or destroy; a *warning* will disappoint or \
    wear; a *note* is worth knowing. Two independent protections missing at once are a stop.

    **Tolerances.** A value exactly on its limit is within it. A charger within 10 mV a cell above full is \
    right; its own tolerance is added first. What is needed is rounded up, what is allowed is rounded down.

    **Duration.** The duty and its hardest moment are compared with every part at every duration from 1 s to \
    3 h. Cells and plugs: continuous rating and 10 s rating, I² = Ic² + (Ip² − Ic²) · 10 s / t between. Switch: \
    the same heat within a minute. Wire and strip: one heat capacity. Fuse: half its least melting time, \
    three quarters of its rating from ten minutes. What ruins: 1.5 times the rating (cells, contacts), 55 K \
    above the insulation's limit (wire), 100 K (strip); typical.

    **Faults.** The largest short-circuit current is that at the fuse: full, warm, every source, no lead \
    beyond the fuse. The smallest is at the far end of the leads: nearly empty, cold, worn (1.5 times the cells' resistance). A fuse takes the longest \
    time of its class; above six times its rating I² t stays constant. A BMS opens after its delay, above three \
    times its threshold at once; a sensor ends what overheats cells within ten minutes.

    ## The stress table

    | id | mended at | looks at |
    |---|---|---|
    """
        + Readings.page()
        + """


        ## Duty, bounds and fit

        | id | mended at | looks at |
        |---|---|---|
        """
        + String.join(
            "\n",
            RULES.stream()
                .map(
                    r -> "| `" + r.id() + "` | " + r.station().label() + " | " + r.looksAt() + " |")
                .toList())
        + """


            ## Cells of the table that stay empty

            - **Voltage of cells, strips, wire and cell fuses**: a group's few volts lie across them; wire of the \
            hobby is made for 300 V or more.
            - **Overload of the BMS and of fuses**: they are what opens; a BMS guards its own switches.
            - **Short circuit of the BMS**: its switches are not counted on to break it; `fuse.none` says so.
            - **Short circuit of cells**: for the milliseconds of a fuse they stand their own; `cell.overload` judges \\
        what lasts longer.
        - **Overload of the charge side**: a charger gives no more than its current.
            - **Inrush of switch and plug**: said once, at the pre-charge.
            - **Temperature of connectors and switch**: no class states it; their currents are for the hottest air.
            - **Self-heating of the box in storage**: nothing flows.
        """;
  }
}
