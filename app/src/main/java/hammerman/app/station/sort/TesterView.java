package hammerman.app.station.sort;

import hammerman.app.control.Beside;
import hammerman.app.control.EvenRows;
import hammerman.app.control.FileAsk;
import hammerman.app.control.Form;
import hammerman.app.control.PlainButton;
import hammerman.app.control.Words;
import hammerman.app.station.Bench;
import hammerman.app.station.Page;
import hammerman.finding.Station;
import hammerman.project.Project;
import hammerman.record.BayTest;
import hammerman.record.Fact;
import hammerman.schedule.BayPlan;
import hammerman.schedule.CalendarFile;
import hammerman.schedule.Presence;
import hammerman.schedule.Quicker;
import hammerman.schedule.Schedule;
import hammerman.sort.SampleSize;
import hammerman.sort.SortPlan;
import hammerman.sort.Sorting;
import hammerman.sort.Sorting.Entry;
import hammerman.unit.Figures;
import hammerman.unit.Unit;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.time.Duration;
import java.time.Instant;
import java.time.ZoneId;
import java.time.ZonedDateTime;
import java.time.format.DateTimeFormatter;
import java.util.ArrayList;
import java.util.Collection;
import java.util.List;
import java.util.Locale;
import java.util.function.Consumer;
import java.util.function.Function;
import java.util.stream.Collectors;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.layout.FlowPane;
import javafx.scene.layout.Priority;
import javafx.scene.layout.StackPane;
import javafx.scene.layout.VBox;
import org.jspecify.annotations.Nullable;

/** What lies in the bays, what to load now, and when all will be measured. */
final class TesterView extends StackPane {
  private static final DateTimeFormatter WHEN =
      DateTimeFormatter.ofPattern("EEE d MMM, HH:mm", Locale.ENGLISH);
  private static final int LISTED = 6;

  /** Seconds of a test in each second of the stand-in. */
  private static final double SPEED = 3600;

  private static final double WITHIN = 0.01;

  private final Bench bench;
  private final SortState state;
  private final Consumer<String> type;
  private final TesterDesk desk;
  private final Words answer = new Words("answer", "schedule-answer");
  private final Words quicker = new Words("fact-name", "schedule-quicker");
  private final Words visits = new Words("fact-name", "schedule-visits");
  private final EvenRows bays = new EvenRows(10, 10);
  private @Nullable Schedule schedule;

  /**
   * @param type brings one to where the capacity of a cell is typed, by its label
   */
  TesterView(Bench bench, SortState state, Consumer<String> type) {
    this.bench = bench;
    this.state = state;
    this.type = type;
    desk = new TesterDesk(state, this::showIfSeen);
    Form form = new Form(state.session(), Station.SORT, 166, 66);
    form.section("The tester")
        .count(
            "Bays",
            p -> p.sortPlan().bays().bays(),
            (p, v) -> with(p, b -> b.withBays(v)),
            p -> true)
        .quantity(
            "Charges with",
            Unit.AMPERE,
            p -> p.sortPlan().bays().charge(),
            (p, v) -> with(p, b -> b.withCharge(v)))
        .quantity(
            "Discharges with",
            Unit.AMPERE,
            p -> p.sortPlan().bays().discharge(),
            (p, v) -> with(p, b -> b.withDischarge(v)))
        .quantity(
            "Rests in between",
            Unit.MINUTE,
            p -> p.sortPlan().bays().rest(),
            (p, v) -> with(p, b -> b.withRest(v)))
        .count(
            "Days of rest after it",
            p -> p.sortPlan().restDays(),
            (p, v) -> p.withSorting(p.sortPlan().withRestDays(v)),
            p -> true)
        .section("You are there to swap cells");
    hours(form, "Weekdays from", Presence::weekdayFrom, Presence::withWeekdayFrom);
    hours(form, "Weekdays until", Presence::weekdayTo, Presence::withWeekdayTo);
    hours(form, "Weekends from", Presence::weekendFrom, Presence::withWeekendFrom);
    hours(form, "Weekends until", Presence::weekendTo, Presence::withWeekendTo);
    Words standing = new Words("fact-name", "tester-standing");
    standing.textProperty().bind(desk.standingProperty());
    Button load = new Button("Load the free bays");
    load.setId("load-bays");
    load.getStyleClass().add("act");
    load.setOnAction(e -> desk.load());
    FlowPane acts =
        new FlowPane(
            8,
            4,
            load,
            new PlainButton("Save as calendar", "save-calendar", this::saveCalendar),
            new PlainButton(
                "Connect a tester", "connect-tester", () -> desk.connect(TesterDesk.PORT)),
            new PlainButton("Use the simulated one", "simulate-tester", this::simulate),
            new PlainButton("Disconnect", "disconnect-tester", desk::disconnect));
    Words caution =
        Words.caution(
            "Cells on test are never left alone with anything that burns: on stone or steel, under"
                + " a smoke alarm, and never charged below 0 °C.");
    VBox left = new VBox(8, form.node(), caution);
    left.setMinWidth(290);
    left.setPrefWidth(320);
    VBox right =
        new VBox(
            8,
            Page.heading("In the bays"),
            bays,
            Page.heading("Next visits"),
            visits,
            following(Page.heading("What would be quicker"), quicker),
            quicker);
    right.setMinWidth(340);
    Beside both = new Beside(left, right);
    VBox.setVgrow(both, Priority.ALWAYS);
    getChildren().add(new VBox(8, answer, acts, standing, both));
    state.shownProperty().addListener((o, was, is) -> showIfSeen());
  }

  /** A heading that goes with the words below it. */
  private static Label following(Label heading, Label words) {
    heading.visibleProperty().bind(words.textProperty().isNotEmpty());
    heading.managedProperty().bind(heading.visibleProperty());
    return heading;
  }

  private static Project with(Project p, Function<BayPlan, BayPlan> change) {
    SortPlan plan = p.sortPlan();
    return p.withSorting(plan.withBays(change.apply(plan.bays())));
  }

  /** Changes one of the hours. */
  private interface Hours {
    Presence with(Presence was, double value);
  }

  private static void hours(Form form, String name, Function<Presence, Double> read, Hours write) {
    form.quantity(
        name,
        Unit.HOUR,
        p -> read.apply(p.sortPlan().bays().presence()),
        (p, v) -> with(p, b -> b.withPresence(write.with(b.presence(), v))));
  }

  private void simulate() {
    SortState.Shown s = state.shown();
    if (s.pack() != null) {
      desk.simulate(s.pack().cell(), s.plan().bays().bays(), SPEED);
    }
  }

  private void showIfSeen() {
    if (getScene() != null) {
      show();
    }
  }

  private static ZonedDateTime local(Instant at) {
    return at.atZone(ZoneId.systemDefault());
  }

  /** Shows the bays and the schedule as they are at this moment. */
  void show() {
    SortState.Shown s = state.shown();
    ZonedDateTime now = local(state.now());
    List<Schedule.Running> running = new ArrayList<>();
    desk.running()
        .forEach(
            (bay, e) -> {
              Fact<BayTest> test = e.cell().test();
              if (test != null) {
                running.add(new Schedule.Running(bay, local(test.value().due())));
              }
            });
    int cells = toTest(s);
    BayPlan plan = s.plan().bays();
    Schedule found = Schedule.of(plan, cells, s.typical(), running, s.plan().restDays(), now);
    schedule = found;
    answer.setText(answer(s, found, cells, running.size()));
    visits.setText(
        found.swaps().isEmpty()
            ? "None: nothing is to be tested."
            : found.swaps().subList(0, Math.min(LISTED, found.swaps().size())).stream()
                .map(TesterView::words)
                .collect(Collectors.joining("\n")));
    quicker.setText(
        cells == 0
            ? ""
            : Quicker.of(plan, cells, s.typical(), running, s.plan().restDays(), now).stream()
                .filter(q -> q.schedule().measured().isBefore(found.measured()))
                .map(
                    q ->
                        "%s: all measured by %s, %s sooner."
                            .formatted(
                                q.what(),
                                WHEN.format(q.schedule().measured()),
                                days(Duration.between(q.schedule().measured(), found.measured()))))
                .collect(Collectors.joining("\n")));
    bays(plan, now);
  }

  /** How many cells are still to be put into a bay, by the school of measuring. */
  private static int toTest(SortState.Shown s) {
    int waiting = TesterDesk.waiting(s).size();
    return switch (s.plan().school()) {
      case EACH -> waiting;
      case QUICK -> 0;
      case SAMPLE -> {
        double[] known = Sorting.capacities(s.read().stock());
        SampleSize size = SampleSize.of(known, s.read().stock().cells().size(), WITHIN);
        yield Math.min(waiting, Math.max(0, size.wanted() - size.measured()));
      }
    };
  }

  private static String answer(SortState.Shown s, Schedule found, int cells, int running) {
    if (s.plan().school() == SortPlan.School.QUICK) {
      return "By your school no capacity is measured: rest voltage and resistance go quickly.";
    }
    if (cells + running == 0) {
      return "Nothing is to be tested. Add labels of cells that have no capacity yet, at Cells.";
    }
    String late =
        found.late().isEmpty()
            ? ""
            : " Late: %s %s been done since before you were last expected."
                .formatted(named(found.late()), found.late().size() == 1 ? "has" : "have");
    return "%d %s to load and %d in the bays, %s each: all measured by %s%s.%s"
        .formatted(
            cells,
            cells == 1 ? "cell" : "cells",
            running,
            Figures.duration((double) found.each().toSeconds()),
            WHEN.format(found.measured()),
            s.plan().restDays() == 0 ? "" : ", rested by " + WHEN.format(found.rested()),
            late);
  }

  private static String days(Duration d) {
    double days = d.toMinutes() / 1440.0;
    return days < 1
        ? Figures.duration((double) d.toSeconds())
        : Figures.fixed(days, 1) + (days == 1 ? " day" : " days");
  }

  private static String words(Schedule.Swap s) {
    String bays = named(s.load().isEmpty() ? s.empty() : s.load());
    String act = s.load().isEmpty() ? "take out" : s.empty().isEmpty() ? "load" : "swap";
    return "%s: %s %s".formatted(WHEN.format(s.at()), act, bays);
  }

  /** Names bays, as in "bays 1, 2 and 4". */
  static String named(Collection<Integer> bays) {
    List<String> all = bays.stream().sorted().map(String::valueOf).toList();
    int last = all.size() - 1;
    return last == 0
        ? "bay " + all.getFirst()
        : "bays %s and %s".formatted(String.join(", ", all.subList(0, last)), all.get(last));
  }

  private void bays(BayPlan plan, ZonedDateTime now) {
    var running = desk.running();
    int most = Math.max(plan.bays(), running.keySet().stream().max(Integer::compare).orElse(0));
    List<BayTile> tiles = new ArrayList<>();
    for (int bay = 1; bay <= most; bay++) {
      Entry e = running.get(bay);
      Fact<BayTest> test = e == null ? null : e.cell().test();
      if (e == null || test == null) {
        tiles.add(new BayTile(bay).free(state.shown().read().stock()));
        continue;
      }
      ZonedDateTime due = local(test.value().due());
      tiles.add(
          new BayTile(bay)
              .testing(
                  e,
                  desk.readings().get(TesterDesk.number(test.at(), bay)),
                  WHEN.format(due),
                  due.isBefore(now),
                  type,
                  () -> desk.breakOff(test)));
    }
    bays.getChildren().setAll(tiles);
  }

  private void saveCalendar() {
    Schedule s = schedule;
    if (s == null || s.swaps().isEmpty()) {
      state.say("There is nothing to put into a calendar: nothing is to be tested.");
      return;
    }
    String pack = state.session().project().name();
    bench
        .files()
        .save("Save the visits", new FileAsk.Kind("Calendar", List.of("*.ics")), "cell-tester.ics")
        .ifPresent(
            file -> {
              try {
                Files.writeString(
                    file,
                    CalendarFile.of(s, pack, state.shown().plan().restDays(), state.now()),
                    StandardCharsets.UTF_8);
                state.say("Wrote " + file.getFileName() + ".");
              } catch (IOException e) {
                state.say(
                    "%s could not be written (%s). Choose another folder."
                        .formatted(file.getFileName(), e.getMessage()));
              }
            });
  }
}
