package hammerman.forecast;

import hammerman.cell.CellType;
import hammerman.design.Design;
import hammerman.duty.Habits;
import hammerman.duty.Surroundings;
import hammerman.pack.Assembly;
import hammerman.unit.InvalidValue;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.function.UnaryOperator;

/**
 * Which input moves which answer most: each input is taken a tenth lower and a tenth higher
 * (temperatures by 5 K), all else as it is. One at a time: what two of them do together is not
 * told. In coarse steps, the cells as one lump; some 30 ms.
 *
 * @param effects of every input on each answer, the strongest first
 */
public record Sensitivity(Map<Answer, List<Effect>> effects) {
  private static final double TENTH = 0.1;
  private static final double KELVINS = 5;

  /**
   * What an input does to an answer.
   *
   * @param input that is changed
   * @param low the answer with the input lower, in core units
   * @param now the answer as it is
   * @param high the answer with the input higher
   */
  public record Effect(Input input, double low, double now, double high) {
    /** Returns the greater of the two changes, in core units. */
    public double most() {
      return Math.max(Math.abs(low - now), Math.abs(high - now));
    }
  }

  /** What is changed. */
  public enum Input {
    LOAD("The load", "10 %"),
    CAPACITY("The cells' capacity", "10 %"),
    RESISTANCE("The cells' resistance", "10 %"),
    AIR("The air in use", "5 K"),
    CHARGE("The charge voltage", "0.05 V per cell"),
    JOINING("Resistance of strips and links", "10 %"),
    LEADS("Cross-section of the leads", "10 %"),
    SHEDDING("Heat that the pack sheds", "10 %"),
    CYCLES("Duties a week", "10 %"),
    STORAGE("The air in storage", "5 K"),
    STORED("Charge in storage", "10 %");

    private final String label;
    private final String by;

    Input(String label, String by) {
      this.label = label;
      this.by = by;
    }

    /** Returns it in words. */
    public String label() {
      return label;
    }

    /** Returns by how much it is changed either way, in words. */
    public String by() {
      return by;
    }
  }

  public Sensitivity {
    effects = Map.copyOf(effects);
  }

  /** Changes every input of a forecast's design. */
  public static Sensitivity of(Forecast f) {
    Answers now = Answers.of(f.design(), f.chain().path().assembly(), 1);
    Map<Answer, List<Effect>> all = new EnumMap<>(Answer.class);
    for (Answer a : Answer.values()) {
      all.put(a, new ArrayList<>());
    }
    for (Input input : Input.values()) {
      Answers low = changed(f, input, -1);
      Answers high = changed(f, input, 1);
      for (Answer a : Answer.values()) {
        Effect e = new Effect(input, low.get(a), now.get(a), high.get(a));
        if (Double.isFinite(e.low() + e.now() + e.high())) {
          all.getOrDefault(a, new ArrayList<>()).add(e);
        }
      }
    }
    all.values().forEach(list -> list.sort(Comparator.comparingDouble(e -> -e.most())));
    all.replaceAll((a, list) -> List.copyOf(list));
    return new Sensitivity(all);
  }

  private static Answers changed(Forecast f, Input input, int way) {
    Assembly as = f.chain().path().assembly();
    Design d = f.design();
    double by = 1 + way * TENTH;
    double kelvins = way * KELVINS;
    return switch (input) {
      case LOAD -> Answers.of(d, as, by);
      case JOINING -> Answers.of(d, new Assembly(as.pack(), as.joining() * by, as.shedding()), 1);
      case SHEDDING -> Answers.of(d, new Assembly(as.pack(), as.joining(), as.shedding() * by), 1);
      case CAPACITY -> with(d, as, x -> cell(x, c -> c.withCapacity(c.capacity() * by)));
      case RESISTANCE -> with(d, as, x -> cell(x, c -> c.withR10(c.r10() * by)));
      case AIR ->
          with(
              d,
              as,
              x ->
                  air(
                      x,
                      s ->
                          s.withColdestInUse(s.coldestInUse() + kelvins)
                              .withHottestInUse(s.hottestInUse() + kelvins)));
      case STORAGE ->
          with(
              d,
              as,
              x ->
                  air(
                      x,
                      s ->
                          s.withColdestStored(s.coldestStored() + kelvins)
                              .withHottestStored(s.hottestStored() + kelvins)));
      case CHARGE ->
          with(
              d,
              as,
              x ->
                  x.withGuard(
                      x.guard()
                          .withCharge(
                              x.guard()
                                  .charge()
                                  .withVoltage(
                                      Math.min(
                                          x.pack().fullVoltage(),
                                          x.guard().charge().voltage()
                                              + way * 0.05 * x.pack().series())))));
      case LEADS ->
          with(
              d,
              as,
              x ->
                  x.withGuard(
                      x.guard()
                          .withWiring(
                              x.guard()
                                  .wiring()
                                  .withWire(
                                      x.guard()
                                          .wiring()
                                          .wire()
                                          .withArea(x.guard().wiring().wire().area() * by)))));
      case CYCLES -> with(d, as, x -> habits(x, h -> h.withCycles(h.cycles() * by)));
      case STORED ->
          with(
              d,
              as,
              x ->
                  habits(x, h -> h.withStorageSoc(Math.clamp(h.storageSoc() + way * TENTH, 0, 1))));
    };
  }

  /** The answers with a change; where a field does not hold it, as they are. */
  private static Answers with(Design d, Assembly as, UnaryOperator<Design> change) {
    Design other;
    try {
      other = change.apply(d);
    } catch (InvalidValue e) {
      other = d;
    }
    return Answers.of(other, as.of(other.pack()), 1);
  }

  private static Design cell(Design d, UnaryOperator<CellType> change) {
    return d.withPack(d.pack().withCell(change.apply(d.pack().cell())));
  }

  private static Design air(Design d, UnaryOperator<Surroundings> change) {
    return d.withDuty(d.duty().withSurroundings(change.apply(d.duty().surroundings())));
  }

  private static Design habits(Design d, UnaryOperator<Habits> change) {
    return d.withDuty(d.duty().withHabits(change.apply(d.duty().habits())));
  }
}
