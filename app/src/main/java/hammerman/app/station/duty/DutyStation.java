package hammerman.app.station.duty;

import hammerman.app.control.Form;
import hammerman.app.session.Session;
import hammerman.app.station.Bench;
import hammerman.app.station.Page;
import hammerman.app.station.StationView;
import hammerman.duty.Duty;
import hammerman.finding.Station;
import hammerman.forecast.Forecast;
import hammerman.project.Project;
import hammerman.unit.Figures;
import hammerman.unit.Unit;
import java.util.function.BiFunction;
import java.util.function.Function;
import javafx.scene.Node;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.VBox;

/** The page of station Duty. */
public final class DutyStation implements StationView {
  private final Page page;
  private final DutyTrace trace = new DutyTrace();

  public DutyStation(Bench bench) {
    Session session = bench.session();
    HBox forms = new HBox(24, machine(session).node(), air(session).node(), habits(session).node());
    forms.getChildren().forEach(n -> HBox.setHgrow(n, Priority.ALWAYS));
    VBox task = new TaskForm(session).form().node();
    task.setMinWidth(470);
    task.setMaxWidth(470);
    VBox drawn = new VBox(4, Page.heading("One round, at the battery"), trace);
    VBox.setVgrow(trace, Priority.ALWAYS);
    trace.setPrefHeight(240);
    HBox.setHgrow(drawn, Priority.ALWAYS);
    HBox lower = new HBox(24, task, drawn);
    VBox.setVgrow(lower, Priority.ALWAYS);
    page = new Page(Station.DUTY, new VBox(10, beginning(session), forms, lower));
  }

  @Override
  public Station station() {
    return Station.DUTY;
  }

  @Override
  public Node node() {
    return page;
  }

  @Override
  public void show(Forecast f) {
    Duty duty = f.design().duty();
    trace.show(duty.task());
    page.answer(
        "%s on one charge, %s for the heaviest ten minutes, %s at “%s”."
            .formatted(
                Figures.duration(duty.task().load().duration()),
                Figures.of(f.chain().demand().continuous(), Unit.AMPERE),
                Figures.of(duty.hardest().current(), Unit.AMPERE),
                duty.hardest().name()));
  }

  @Override
  public String help() {
    return """
    Read the machine's limits off its controller: the voltage at which it cuts out, the highest it \
    survives, the battery current at full effort and at most, and what it pushes back when braking.

    Then say what one charge must do: so many hours at so many watts, a distance, or a round of \
    segments repeated. The hardest moment (a hill, a cold start, a stall) decides the current per cell \
    and the sag.

    Every field takes a unit: “25 min”, “1.2 kW”, “10 km/h”, with a decimal comma or point. A \
    vehicle's permitted power is set by local rules; look them up first.\
    """;
  }

  private static Node beginning(Session session) {
    Label words =
        new Label(
            "Begin with the machine: what its controller says about voltage and current. Or look at"
                + " a design that is done.");
    words.setMaxWidth(620);
    words.setMinHeight(Label.USE_PREF_SIZE);
    Button example = new Button("Load the worked example");
    example.setId("load-example");
    example.getStyleClass().add("act");
    example.setMinWidth(Button.USE_PREF_SIZE);
    example.setOnAction(e -> session.loadExample());
    HBox card = new HBox(words, example);
    HBox.setHgrow(words, Priority.ALWAYS);
    card.getStyleClass().add("empty-card");
    Runnable follow =
        () -> {
          boolean empty = !session.isEdited(Station.DUTY);
          card.setVisible(empty);
          card.setManaged(empty);
        };
    session.projectProperty().addListener((o, was, is) -> follow.run());
    follow.run();
    return card;
  }

  private static Form form(Session session) {
    return new Form(session, Station.DUTY, 138, 76);
  }

  private static Form machine(Session session) {
    Form form = form(session);
    form.section("Machine, off its controller")
        .text(
            "Machine",
            p -> p.duty().machine().name(),
            (p, v) -> duty(p, d -> d.withMachine(d.machine().withName(v))));
    in(
        form,
        "Cuts out below",
        Unit.VOLT,
        d -> d.machine().cutOutVoltage(),
        (d, v) -> d.withMachine(d.machine().withCutOutVoltage(v)));
    in(
        form,
        "Survives at most",
        Unit.VOLT,
        d -> d.machine().maximumVoltage(),
        (d, v) -> d.withMachine(d.machine().withMaximumVoltage(v)));
    in(
        form,
        "Draws at full effort",
        Unit.AMPERE,
        d -> d.machine().fullEffortCurrent(),
        (d, v) -> d.withMachine(d.machine().withFullEffortCurrent(v)));
    in(
        form,
        "Lets through at most",
        Unit.AMPERE,
        d -> d.machine().peakCurrent(),
        (d, v) -> d.withMachine(d.machine().withPeakCurrent(v)));
    in(
        form,
        "Pushes back braking",
        Unit.AMPERE,
        d -> d.machine().regenerationCurrent(),
        (d, v) -> d.withMachine(d.machine().withRegenerationCurrent(v)));
    return form;
  }

  private static Form air(Session session) {
    Form form = form(session);
    form.section("Hardest moment")
        .text(
            "What happens",
            p -> p.duty().hardest().name(),
            (p, v) -> duty(p, d -> d.withHardest(d.hardest().withName(v))));
    in(
        form,
        "Battery current",
        Unit.AMPERE,
        d -> d.hardest().current(),
        (d, v) -> d.withHardest(d.hardest().withCurrent(v)));
    in(
        form,
        "Lasts",
        Unit.SECOND,
        d -> d.hardest().duration(),
        (d, v) -> d.withHardest(d.hardest().withDuration(v)));
    form.section("Air around it");
    in(
        form,
        "Coldest in use",
        Unit.CELSIUS,
        d -> d.surroundings().coldestInUse(),
        (d, v) -> d.withSurroundings(d.surroundings().withColdestInUse(v)));
    in(
        form,
        "Hottest in use",
        Unit.CELSIUS,
        d -> d.surroundings().hottestInUse(),
        (d, v) -> d.withSurroundings(d.surroundings().withHottestInUse(v)));
    in(
        form,
        "Coldest charging",
        Unit.CELSIUS,
        d -> d.surroundings().coldestCharging(),
        (d, v) -> d.withSurroundings(d.surroundings().withColdestCharging(v)));
    return form;
  }

  private static Form habits(Session session) {
    Form form = form(session);
    form.section("Habits and limits");
    in(
        form,
        "Where it is stored",
        Unit.CELSIUS,
        d -> d.surroundings().storage(),
        (d, v) -> d.withSurroundings(d.surroundings().withStorage(v)));
    in(
        form,
        "This duty, times",
        Unit.PER_WEEK,
        d -> d.habits().cycles(),
        (d, v) -> d.withHabits(d.habits().withCycles(v)));
    in(
        form,
        "Stored at charge",
        Unit.PERCENT,
        d -> d.habits().storageSoc(),
        (d, v) -> d.withHabits(d.habits().withStorageSoc(v)));
    in(
        form,
        "Worn out at capacity",
        Unit.PERCENT,
        d -> d.habits().endOfLife(),
        (d, v) -> d.withHabits(d.habits().withEndOfLife(v)));
    form.optional(
        "Mass at most",
        Unit.KILOGRAM,
        p -> p.duty().bounds().mass(),
        (p, v) -> duty(p, d -> d.withBounds(d.bounds().withMass(v))));
    form.optional(
        "Cells cost at most",
        Unit.MONEY,
        p -> p.duty().bounds().budget(),
        (p, v) -> duty(p, d -> d.withBounds(d.bounds().withBudget(v))));
    return form;
  }

  private static void in(
      Form form,
      String name,
      Unit unit,
      Function<Duty, Double> read,
      BiFunction<Duty, Double, Duty> write) {
    form.quantity(name, unit, p -> read.apply(p.duty()), (p, v) -> duty(p, d -> write.apply(d, v)));
  }

  private static Project duty(Project p, Function<Duty, Duty> change) {
    return p.withDesign(p.design().withDuty(change.apply(p.duty())));
  }
}
