package hammerman.app.station.duty;

import hammerman.app.control.Beside;
import hammerman.app.control.EmptyCard;
import hammerman.app.control.Facts;
import hammerman.app.control.FigureView;
import hammerman.app.control.Following;
import hammerman.app.control.Views;
import hammerman.app.control.Words;
import hammerman.app.session.Session;
import hammerman.app.station.Bench;
import hammerman.app.station.Page;
import hammerman.app.station.Slice;
import hammerman.app.station.StationView;
import hammerman.chain.Pull;
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
import java.util.function.Function;
import java.util.function.ToDoubleFunction;
import javafx.scene.Node;
import javafx.scene.layout.FlowPane;
import javafx.scene.layout.Priority;
import javafx.scene.layout.VBox;

/** The page of station Duty. */
public final class DutyStation implements StationView {
  private final Page page;
  private final Views views = new Views();
  private final TaskView task;
  private final List<SpeedFigure> speeds;
  private final List<PullFigure> pulls;
  private final VBox speedBox = new VBox(2);
  private final VBox pullBox = new VBox(2);
  private final Facts year = new Facts("fact-name", "fact-value", "answer");
  private final WindowPicture window = new WindowPicture();
  private final DutyTrace demand = new DutyTrace();

  /** A speed with the figure that shows it. */
  private record SpeedFigure(FigureView view, ToDoubleFunction<Speeds> value) {}

  /** A figure of the motor's pull with what it shows. */
  private record PullFigure(FigureView view, Function<Pull, String> value) {}

  public DutyStation(Bench bench) {
    Session session = bench.session();
    task = new TaskView(bench);
    speeds =
        List.of(
            speed(bench, "Unloaded, full", Speeds::full),
            speed(bench, "half charged", Speeds::middle),
            speed(bench, "nearly empty", Speeds::nearlyEmpty),
            speed(bench, "one group more", Speeds::perGroup));
    pulls =
        List.of(
            pull(bench, "Torque at the wheel", k -> Figures.of(k.torque(), Unit.NEWTON_METRE)),
            pull(bench, "Starts on a hill of", DutyStation::slope),
            pull(bench, "Best current", DutyStation::best),
            pull(bench, "Stalled, unlimited", k -> Figures.of(k.stall(), Unit.AMPERE)));
    FlowPane figures = new FlowPane(2, 2);
    figures.setPrefWrapLength(290);
    speeds.forEach(s -> figures.getChildren().add(s.view()));
    FlowPane pullFigures = new FlowPane(2, 2);
    pullFigures.setPrefWrapLength(290);
    pulls.forEach(s -> pullFigures.getChildren().add(s.view()));
    speedBox.getChildren().add(figures);
    pullBox.getChildren().add(pullFigures);
    VBox middle = new VBox(10, DutyForms.drive(session).node(), speedBox, pullBox);
    demand.setMinSize(270, 130);
    demand.setPrefHeight(170);
    VBox.setVgrow(window, Priority.ALWAYS);
    VBox.setVgrow(demand, Priority.ALWAYS);
    Beside machine =
        new Beside(
            DutyForms.machine(session).node(),
            middle,
            new VBox(
                8,
                Page.heading("The machine's window, and the pack in it"),
                window,
                Page.heading("What is asked of it, in time"),
                demand));
    VBox.setVgrow(machine, Priority.ALWAYS);
    LeadView lead = new LeadView(session);
    Words caution =
        Words.caution(
            "Local rules come first: what power and speed a machine may have, and where, is set by"
                + " them and not by this tool.");
    views
        .add("Machine", "machine", new VBox(12, beginning(session), machine), () -> {})
        .add(
            "Use and limits",
            "use",
            new VBox(
                12,
                new Beside(
                    DutyForms.air(session).node(),
                    DutyForms.habits(session).node(),
                    DutyForms.limits(session).node()),
                Page.heading("What that comes to in a year"),
                year,
                caution),
            () -> {})
        .add("Task", "task", task, () -> {})
        .add("Replaces a lead battery", "lead", lead, lead::show);
    page = new Page(Station.DUTY, views);
  }

  private static SpeedFigure speed(Bench bench, String name, ToDoubleFunction<Speeds> value) {
    return new SpeedFigure(
        new FigureView(name, () -> bench.showWorking().accept(DutyWorkings::speeds)), value);
  }

  private static PullFigure pull(Bench bench, String name, Function<Pull, String> value) {
    return new PullFigure(
        new FigureView(name, () -> bench.showWorking().accept(DutyWorkings::pull)), value);
  }

  /** How often, how long and how much, and how it stands for the rest of the year. */
  private static List<List<String>> year(Forecast f) {
    Duty duty = f.design().duty();
    double year = Unit.YEAR.toCore(1);
    double charges = duty.habits().meanCycles() * year;
    double use = Math.min(year, charges * f.duty().endTime());
    double energy = charges * f.duty().totals().energyOut();
    double moved = charges * f.own().totals().delivered() / f.design().pack().capacity();
    return List.of(
        List.of("Charges", Figures.number(charges), "each for this duty once"),
        List.of("In use", Figures.of(use, Unit.HOUR), ""),
        List.of("Energy out", Figures.of(energy, Unit.KILOWATT_HOUR), ""),
        List.of(
            "Charge moved", Figures.number(moved), "equivalent full cycles; what cycling wears"),
        List.of(
            "Stands",
            Figures.of(1 - use / year, Unit.PERCENT, 0),
            "of the time, at %s charge and %s to %s; what time alone wears"
                .formatted(
                    Figures.of(duty.habits().storageSoc(), Unit.PERCENT, 0),
                    Figures.of(duty.surroundings().coldestStored(), Unit.CELSIUS, 0),
                    Figures.of(duty.surroundings().hottestStored(), Unit.CELSIUS, 0))));
  }

  private static String slope(Pull p) {
    return p.slope().isEmpty()
        ? "no vehicle"
        : Double.isInfinite(p.slope().getAsDouble()) || p.slope().getAsDouble() > 9.99
            ? "any"
            : p.slope().getAsDouble() <= 0
                ? "none"
                : Figures.of(p.slope().getAsDouble(), Unit.PERCENT, 0);
  }

  private static String best(Pull p) {
    return p.bestEfficiency() <= 0
        ? "none"
        : "%s, %s"
            .formatted(
                Figures.of(p.bestCurrent(), Unit.AMPERE),
                Figures.of(p.bestEfficiency(), Unit.PERCENT, 0));
  }

  @Override
  public Page page() {
    return page;
  }

  @Override
  public void show(Forecast f) {
    Duty duty = f.design().duty();
    task.show(f);
    window.show(f.chain());
    year.show(year(f));
    demand.show(duty.task());
    Optional<Pull> pull = Pull.of(f.chain());
    pullBox.setVisible(pull.isPresent());
    pullBox.setManaged(pull.isPresent());
    pull.ifPresent(k -> pulls.forEach(s -> s.view().show(s.value().apply(k))));
    Optional<Speeds> known = Speeds.of(f.chain());
    speedBox.setVisible(known.isPresent());
    speedBox.setManaged(known.isPresent());
    known.ifPresent(
        k ->
            speeds.forEach(
                s ->
                    s.view()
                        .show(Figures.of(s.value().applyAsDouble(k), Unit.KILOMETRE_PER_HOUR, 1))));
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

    The motor's resistance tells torque and hill: read it between two of its leads with a milliohm \
    meter, or hold the rotor still for a second at a few amperes and divide volts by amperes. The \
    current without load is what the battery meter shows at full speed with the wheel off the ground. \
    The motor current that the controller allows stands in its settings; it is more than the battery's.

    Then say in Task what one charge must do: so many hours at so many watts, a distance, a round of \
    segments repeated, or a log of a real run. A segment's power is typed, or worked out from its slope; \
    press its figure to see how. A segment lasts for a time (“5 min”) or a way (“300 m”).

    The hardest moment (a hill, a cold start, a stall) decides the current per cell and the sag.

    Every field takes a unit: “25 min”, “1.2 kW”, “10 km/h”, with a decimal comma or point. A \
    vehicle's permitted power is set by local rules; look them up first.\
    """;
  }

  private static Node beginning(Session session) {
    EmptyCard card =
        new EmptyCard(
            "Begin with the machine: what its controller says about voltage and current. Or look at"
                + " a design that is done.",
            EmptyCard.act("Load the worked example", "load-example", session::loadExample));
    Following.follow(
        card, session.projectProperty(), p -> card.setVisible(!session.isEdited(Station.DUTY)));
    return card;
  }
}
