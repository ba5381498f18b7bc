package hammerman.app.station.guard;

import hammerman.app.control.Beside;
import hammerman.app.control.Facts;
import hammerman.app.control.QuantityField;
import hammerman.app.control.Words;
import hammerman.app.job.Latest;
import hammerman.app.session.Session;
import hammerman.app.station.Page;
import hammerman.cell.CellType;
import hammerman.finding.Station;
import hammerman.readymade.HardStart;
import hammerman.readymade.ReadyMade;
import hammerman.readymade.ReadyMadeUse;
import hammerman.simulation.StartRun;
import hammerman.unit.Figures;
import hammerman.unit.InvalidValue;
import hammerman.unit.Unit;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.OptionalDouble;
import java.util.function.DoubleConsumer;
import java.util.function.Function;
import java.util.function.Supplier;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.layout.ColumnConstraints;
import javafx.scene.layout.GridPane;
import javafx.scene.layout.Priority;
import javafx.scene.layout.VBox;
import org.jspecify.annotations.Nullable;

/** A ready-made battery behind its own protection: does a hard start trip it, and what helps. */
final class ReadyMadeView extends VBox {
  private static final List<Double> CHARGES = List.of(1.0, 0.5, 0.2);

  /** Width of a part of the form, px. */
  private static final double PART = 246;

  private final Words words = new Words("answer", "ready-words");
  private final Facts facts = new Facts("fact-name", "fact-value", "fact-value", "fact-value");
  private final StartPicture picture = new StartPicture();
  private final Latest running = new Latest("ready-made");
  private final List<Runnable> refreshes = new ArrayList<>();
  private final Session session;
  private final Button keep = new Button();
  private final ReadyMadeUse usual;
  private ReadyMadeUse use;

  /** What the background works out for one state of charge. */
  private record Answer(
      double soc, StartRun hard, OptionalDouble ramp, StartRun ramped, StartRun capped) {}

  ReadyMadeView(Session session) {
    super(10);
    CellType cell = session.library().find("p18650").orElse(session.library().cells().getFirst());
    this.session = session;
    use =
        new ReadyMadeUse(
            new ReadyMade(cell, 10, 2, 40, 0.05, 2.6), new HardStart(0.25, 0.4, 8, 0, null));
    usual = use;
    keep.setId("ready-keep");
    keep.getStyleClass().addAll("plain", "small");
    keep.setOnAction(e -> write(session.project().variant().readyMade() == null ? use : null));
    GridPane pack = part("The battery");
    field(
        pack,
        "In series",
        Unit.ONE,
        () -> battery().series(),
        v -> write(use.withBattery(battery().withCounts((int) v, battery().parallel()))));
    field(
        pack,
        "In parallel",
        Unit.ONE,
        () -> battery().parallel(),
        v -> write(use.withBattery(battery().withCounts(battery().series(), (int) v))));
    field(
        pack,
        "Trips above",
        Unit.AMPERE,
        () -> battery().tripCurrent(),
        v -> write(use.withBattery(battery().withTrip(v, battery().tripDelay()))));
    field(
        pack,
        "Trips after",
        Unit.MILLISECOND,
        () -> battery().tripDelay(),
        v -> write(use.withBattery(battery().withTrip(battery().tripCurrent(), v))));
    GridPane spin = part("The start");
    field(
        spin,
        "Winding and leads",
        Unit.OHM,
        () -> start().resistance(),
        v -> write(use.withStart(start().withResistance(v))));
    field(
        spin,
        "Time to spin up",
        Unit.SECOND,
        () -> start().spinUp(),
        v -> write(use.withStart(start().withSpinUp(v))));
    field(
        spin,
        "Runs with",
        Unit.AMPERE,
        () -> start().running(),
        v -> write(use.withStart(start().withRunning(v))));
    field(
        spin,
        "Soft start over",
        Unit.SECOND,
        () -> start().ramp(),
        v -> write(use.withStart(start().withRamp(v))));
    spin.add(keep, 0, spin.getRowCount(), 3, 1);
    // The second below the first, or beside it where the results stand below both.
    Beside form = new Beside(pack, spin);
    form.setMinWidth(PART);
    form.setPrefWidth(PART);
    facts.setId("ready-facts");
    facts.setHgap(26);
    picture.setMinHeight(160);
    VBox results = new VBox(8, words, facts, picture);
    VBox.setVgrow(picture, Priority.ALWAYS);
    Beside body = new Beside(form, results);
    VBox.setVgrow(body, Priority.ALWAYS);
    Words caution =
        Words.caution(
            "The protection of a ready-made battery stays as it is: never bridge or remove it. The"
                + " cure is a softer start or a current limit.");
    getChildren().addAll(body, caution);
    follow();
  }

  private ReadyMade battery() {
    return use.battery();
  }

  private HardStart start() {
    return use.start();
  }

  /** Keeps the battery in the project, or takes it out. */
  private void write(@Nullable ReadyMadeUse value) {
    session.editDesign("Ready-made battery", Station.GUARD, d -> d.withReadyMade(value));
  }

  /** Shows what the project has, or a usual battery that is not part of it yet. */
  void follow() {
    ReadyMadeUse kept = session.project().variant().readyMade();
    use = kept == null ? usual : kept;
    keep.setText(kept == null ? "Use it on this machine" : "Leave it out of the project");
    show();
  }

  private static GridPane part(String heading) {
    GridPane part = new GridPane();
    part.setHgap(8);
    part.setVgap(2);
    part.getColumnConstraints()
        .addAll(new ColumnConstraints(128), new ColumnConstraints(72), new ColumnConstraints(30));
    part.setMinWidth(PART);
    part.setPrefWidth(PART);
    part.add(Page.heading(heading), 0, 0, 3, 1);
    return part;
  }

  private void field(
      GridPane form, String name, Unit unit, Supplier<Number> read, DoubleConsumer write) {
    int row = form.getRowCount();
    Label label = new Label(name);
    label.getStyleClass().add("field-label");
    label.setMinWidth(128);
    QuantityField field =
        new QuantityField(
            name,
            unit,
            false,
            v -> {
              if (v == null) {
                throw new InvalidValue(name, "empty", "a value is needed", "Type one.");
              }
              write.accept(v);
            });
    field.setId("ready-" + name.toLowerCase(Locale.ROOT).replace(' ', '-'));
    field.setPrefWidth(70);
    Words complaint = Words.complaint(field.complaintProperty());
    complaint.setMaxWidth(250);
    form.add(label, 0, row);
    form.add(field, 1, row);
    form.add(new Label(unit.symbol()), 2, row);
    form.add(complaint, 0, row + 1, 3, 1);
    refreshes.add(() -> field.show(read.get().doubleValue()));
  }

  private void show() {
    refreshes.forEach(Runnable::run);
    ReadyMade b = battery();
    HardStart s = start();
    running.submit(() -> CHARGES.stream().map(z -> answer(b, s, z)).toList(), this::fill);
  }

  private static Answer answer(ReadyMade b, HardStart s, double soc) {
    OptionalDouble ramp = StartRun.shortestRamp(b, s, soc);
    return new Answer(
        soc,
        StartRun.of(b, s, soc),
        ramp,
        StartRun.of(b, s.withRamp(ramp.orElse(0)), soc),
        StartRun.capped(b, s, soc));
  }

  private void fill(List<Answer> answers) {
    Answer full = answers.getFirst();
    words.setText(words(full));
    List<List<String>> rows = new ArrayList<>();
    rows.add(List.of("Charged to", "100 %", "50 %", "20 %"));
    rows.add(row("Hard start", answers, a -> outcome(a.hard())));
    rows.add(row("Highest current", answers, a -> amperes(a.hard().peak())));
    rows.add(row("Lowest voltage", answers, a -> Figures.of(a.hard().lowest(), Unit.VOLT, 1)));
    rows.add(
        row(
            "Shortest ramp",
            answers,
            a ->
                a.ramp().isPresent()
                    ? Figures.of(a.ramp().getAsDouble(), Unit.SECOND, 2)
                    : "none helps"));
    rows.add(row("With the limit", answers, a -> outcome(a.capped())));
    facts.show(rows);
    picture.show(full.hard(), full.ramped(), full.capped(), battery().tripCurrent());
  }

  /** What a hard start does to the full battery, and what helps. */
  private String words(Answer full) {
    return switch (full.hard().end()) {
      case RUNS ->
          "Full, it stands the hard start: %s at most.".formatted(amperes(full.hard().peak()));
      case CURRENT_TRIP ->
          "Full, it trips %s into a hard start of up to %s. %s A current limit of %s also does, and takes %s to come up to speed."
              .formatted(
                  Figures.of(full.hard().endTime(), Unit.MILLISECOND, 0),
                  amperes(full.hard().peak()),
                  full.ramp().isPresent()
                      ? "A ramp of "
                          + Figures.of(full.ramp().getAsDouble(), Unit.SECOND, 2)
                          + " avoids it."
                      : "No ramp up to 20 s avoids it.",
                  amperes(0.95 * battery().tripCurrent()),
                  Figures.duration(full.capped().upToSpeed()));
      case VOLTAGE_TRIP -> "Even full, its voltage falls so low that it switches off.";
      case NEVER_UP_TO_SPEED -> "It never comes up to speed within a minute.";
    };
  }

  private static List<String> row(
      String name, List<Answer> answers, Function<Answer, String> text) {
    List<String> row = new ArrayList<>(List.of(name));
    answers.forEach(a -> row.add(text.apply(a)));
    return row;
  }

  private static String outcome(StartRun run) {
    return switch (run.end()) {
      case RUNS -> "runs";
      case CURRENT_TRIP -> "trips, current";
      case VOLTAGE_TRIP -> "trips, voltage";
      case NEVER_UP_TO_SPEED -> "never up to speed";
    };
  }

  private static String amperes(double a) {
    return Figures.of(a, Unit.AMPERE);
  }
}
