package hammerman.app.station.duty;

import hammerman.app.control.Beside;
import hammerman.app.control.FigureView;
import hammerman.app.control.Following;
import hammerman.app.control.Views;
import hammerman.app.session.Session;
import hammerman.app.station.Bench;
import hammerman.app.station.Page;
import hammerman.app.station.Slice;
import hammerman.app.station.StationView;
import hammerman.chain.Speeds;
import hammerman.duty.Duty;
import hammerman.finding.Station;
import hammerman.forecast.DutyWorkings;
import hammerman.forecast.Forecast;
import hammerman.unit.Figures;
import hammerman.unit.Unit;
import java.util.EnumSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.function.ToDoubleFunction;
import javafx.scene.Node;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.layout.FlowPane;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.VBox;

/** The page of station Duty. */
public final class DutyStation implements StationView {
  private final Page page;
  private final Views views = new Views();
  private final TaskView task;
  private final List<SpeedFigure> speeds;
  private final VBox speedBox = new VBox(2);

  /** A speed with the figure that shows it. */
  private record SpeedFigure(FigureView view, ToDoubleFunction<Speeds> value) {}

  public DutyStation(Bench bench) {
    Session session = bench.session();
    task = new TaskView(bench);
    speeds =
        List.of(
            speed(bench, "Unloaded, full", Speeds::full),
            speed(bench, "half charged", Speeds::middle),
            speed(bench, "nearly empty", Speeds::nearlyEmpty),
            speed(bench, "one group more", Speeds::perGroup));
    FlowPane figures = new FlowPane(2, 2);
    figures.setPrefWrapLength(290);
    speeds.forEach(s -> figures.getChildren().add(s.view()));
    speedBox.getChildren().add(figures);
    VBox middle =
        new VBox(10, DutyForms.drive(session).node(), speedBox, DutyForms.air(session).node());
    Beside forms =
        new Beside(DutyForms.machine(session).node(), middle, DutyForms.habits(session).node());
    Label caution =
        new Label(
            "Local rules come first: what power and speed a machine may have, and where, is set by"
                + " them and not by this tool.");
    caution.getStyleClass().add("caution");
    caution.setMinHeight(Label.USE_PREF_SIZE);
    caution.setMaxWidth(Double.MAX_VALUE);
    views
        .add(
            "Machine and limits",
            "machine",
            new VBox(12, beginning(session), forms, caution),
            () -> {})
        .add("Task", "task", task, () -> {})
        .add("Replaces a lead battery", "lead", new LeadView(session), () -> {});
    page = new Page(Station.DUTY, views);
  }

  private static SpeedFigure speed(Bench bench, String name, ToDoubleFunction<Speeds> value) {
    return new SpeedFigure(
        new FigureView(name, () -> bench.showWorking().accept(DutyWorkings::speeds)), value);
  }

  @Override
  public Page page() {
    return page;
  }

  @Override
  public void show(Forecast f) {
    Duty duty = f.design().duty();
    task.show(f);
    Optional<Speeds> known = Speeds.of(f.chain());
    speedBox.setVisible(known.isPresent());
    speedBox.setManaged(known.isPresent());
    known.ifPresent(
        k ->
            speeds.forEach(
                s ->
                    s.view()
                        .show(Figures.of(s.value().applyAsDouble(k), Unit.KILOMETRE_PER_HOUR))));
    page.answer(
        "%s on one charge, %s for the heaviest ten minutes, %s at “%s”."
            .formatted(
                Figures.duration(duty.task().load().duration()),
                Figures.of(f.chain().demand().continuous(), Unit.AMPERE),
                Figures.of(duty.hardest().current(), Unit.AMPERE),
                duty.hardest().name()));
  }

  @Override
  public Set<Slice> reads() {
    return EnumSet.allOf(Slice.class);
  }

  @Override
  public String help() {
    return """
    Read the machine's limits off its controller: the voltage at which it cuts out, the highest it \
    survives, the battery current at full effort and at most, and what it pushes back when braking. \
    Motor constant, reduction and wheel tell the speed that a voltage buys.

    Then say in Task what one charge must do: so many hours at so many watts, a distance, a round of \
    segments repeated, or a log of a real run. A segment's power is typed, or worked out from its slope; \
    press its figure to see how. A segment lasts for a time (“5 min”) or a way (“300 m”).

    The hardest moment (a hill, a cold start, a stall) decides the current per cell and the sag.

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
    Following.follow(card, session.projectProperty(), p -> follow.run());
    return card;
  }
}
