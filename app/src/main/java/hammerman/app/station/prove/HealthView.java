package hammerman.app.station.prove;

import hammerman.app.control.Beside;
import hammerman.app.control.FileAsk;
import hammerman.app.control.PlainButton;
import hammerman.app.control.QuantityField;
import hammerman.app.control.TypedField;
import hammerman.app.control.Words;
import hammerman.app.job.Latest;
import hammerman.app.station.Bench;
import hammerman.app.station.Page;
import hammerman.app.station.prove.ProveState.Shown;
import hammerman.forecast.Forecast;
import hammerman.forecast.Lifetime;
import hammerman.life.LifeForecast;
import hammerman.pack.Pack;
import hammerman.prove.Calibration;
import hammerman.prove.Drift;
import hammerman.prove.Fade;
import hammerman.prove.Reminder;
import hammerman.prove.RestCharge;
import hammerman.record.Fact;
import hammerman.record.Measured;
import hammerman.record.Measurement;
import hammerman.record.Measurement.Conditions;
import hammerman.record.Measurement.Origin;
import hammerman.record.Subject;
import hammerman.schedule.CalendarFile;
import hammerman.store.WholeFile;
import hammerman.unit.Figures;
import hammerman.unit.InvalidValue;
import hammerman.unit.QuantityText;
import hammerman.unit.Unit;
import hammerman.unit.Valid;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Path;
import java.time.Duration;
import java.time.Instant;
import java.time.LocalDate;
import java.time.LocalTime;
import java.time.ZoneId;
import java.time.format.DateTimeFormatter;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.OptionalDouble;
import java.util.TreeMap;
import java.util.stream.Stream;
import javafx.beans.property.ReadOnlyStringProperty;
import javafx.geometry.Pos;
import javafx.scene.control.Label;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.StackPane;
import javafx.scene.layout.VBox;
import org.jspecify.annotations.Nullable;

/** How the pack ages against its forecast, which group drifts, and what is to be done when. */
final class HealthView extends StackPane {
  /** Room for a unit beside its field, px. */
  private static final double UNIT = 18;

  private static final double YEAR = 365.25 * 86400;

  /** A duty that fits for less than this does not fit, years. */
  private static final double SOON = 0.05;

  /** Standard error of a capacity typed from a full charge and discharge; a usual meter's. */
  private static final double TYPED = 0.01;

  /** A log that goes through less of the charge tells no capacity to speak of. */
  private static final double LEAST_USED = 0.4;

  private static final double VAGUE = 0.03;

  /** A usual meter's error for one cell, V. */
  private static final double METER = 0.005;

  private static final LocalTime EVENING = LocalTime.of(18, 0);
  private static final DateTimeFormatter DAY =
      DateTimeFormatter.ofPattern("d MMM yyyy", Locale.ENGLISH);

  private final Bench bench;
  private final ProveState state;
  private final Latest working = Latest.ofDetails("health");
  private final FadePicture picture = new FadePicture();
  private final Words verdict = new Words("verdict-line", "fade-verdict");
  private final Words until = new Words("answer", "fade-until");
  private final Words drift = new Words("answer", "drift-words");
  private final Words charge = new Words("answer", "charge-words");
  private final Words reminders = new Words("answer", "reminders");
  private List<Reminder> due = List.of();

  HealthView(Bench bench, ProveState state) {
    this.bench = bench;
    this.state = state;
    QuantityField capacity =
        new QuantityField("Capacity measured", Unit.AMPERE_HOUR, true, this::capacity);
    capacity.setId("check-capacity");
    TypedField groups = new TypedField("Rest voltage of each group", this::groups);
    groups.setId("check-groups");
    groups.setPromptText("3.912 3.910 …");
    groups.widen(130, 260);
    QuantityField rest = new QuantityField("Rest voltage of the pack", Unit.VOLT, true, this::rest);
    rest.setId("rest-voltage");
    VBox left = new VBox(8, verdict, picture, until);
    picture.setMinSize(320, 220);
    VBox.setVgrow(picture, Priority.ALWAYS);
    left.setMinWidth(360);
    left.setPrefWidth(560);
    Words complaint = Words.complaint(groups.complaintProperty());
    complaint.setId("check-groups-complaint");
    VBox right =
        new VBox(
            6,
            Page.heading("Check-up"),
            row("Capacity, full to empty", capacity, "Ah"),
            row("Groups at rest", groups, "V"),
            complaint,
            drift,
            Page.heading("How full is it"),
            row("Pack at rest", rest, "V"),
            charge,
            Page.heading("To be done"),
            reminders,
            new PlainButton("Save as calendar", "save-reminders", this::save));
    right.setMinWidth(320);
    getChildren().add(new Beside(left, right));
    state.shownProperty().addListener((o, was, is) -> work());
    state.forecastProperty().addListener((o, was, is) -> work());
    state.fitsProperty().addListener((o, was, is) -> work());
  }

  private static HBox row(String name, TypedField field, String unit) {
    Label label = new Label(name);
    label.getStyleClass().add("field-label");
    label.setMinWidth(140);
    label.setLabelFor(field);
    Label symbol = new Label(unit);
    symbol.getStyleClass().add("fact-name");
    symbol.setMinWidth(UNIT);
    HBox.setHgrow(field, Priority.ALWAYS);
    HBox row = new HBox(8, label, field, symbol);
    row.setAlignment(Pos.CENTER_LEFT);
    return row;
  }

  /** What the page says of it in a sentence. */
  ReadOnlyStringProperty verdictProperty() {
    return verdict.textProperty();
  }

  void forecast(Forecast f) {
    work();
  }

  /** What was worked out of the records. */
  private record Worked(LifeForecast life, Fade fade) {}

  private void work() {
    Forecast f = state.forecast();
    if (f == null) {
      return;
    }
    Shown s = state.shown();
    List<Fade.Point> points = points(s, f.design().pack(), state.fitsProperty().get());
    drift.setText(Drift.of(checkUps(s)).words());
    remind(s, f);
    working.submit(
        () -> new Worked(f.life(), Fade.of(f.life(), Lifetime.fits(f), points)),
        this::show,
        e -> state.say(Latest.inWords(e)));
  }

  private void show(Worked w) {
    verdict.setText(w.fade().verdict());
    String worn =
        w.fade().worn().isPresent()
            ? "Worn out after about %s years. "
                .formatted(Figures.of(w.fade().worn().getAsDouble(), Unit.ONE, 1))
            : "Not worn out within the forecast's years. ";
    until.setText(worn + fits(w.fade()) + resistance());
    picture.show(w.life(), w.fade());
  }

  private static String fits(Fade fade) {
    OptionalDouble years = fade.fits();
    if (years.isEmpty()) {
      return "The duty fits as long as can be told.";
    }
    return years.getAsDouble() < SOON
        ? "The duty does not fit as it is."
        : "The duty no longer fits after about %s years%s."
            .formatted(
                Figures.of(years.getAsDouble(), Unit.ONE, 1),
                fade.points().isEmpty() ? "" : ", as measured so far");
  }

  /** How the resistance went, by the first and the last log that tells it. */
  private String resistance() {
    List<Calibration.Scale> told =
        state.shown().counting().stream()
            .map(r -> state.fitsProperty().get().get(r.id()))
            .flatMap(Stream::ofNullable)
            .flatMap(c -> c.resistanceTold().stream())
            .filter(s -> s.error() <= VAGUE)
            .toList();
    return told.size() < 2
        ? ""
        : " Resistance by the logs: %s times the design's at first, %s now."
            .formatted(
                Figures.fixed(told.getFirst().value(), 2),
                Figures.fixed(told.getLast().value(), 2));
  }

  private static double years(Shown s, Instant at) {
    Instant begun = s.begun();
    return begun == null ? 0 : Math.max(0, Duration.between(begun, at).toSeconds() / YEAR);
  }

  /** Capacities from check-ups and from logs, against the first of the design. */
  private static List<Fade.Point> points(Shown s, Pack pack, Map<Long, Calibration> fits) {
    List<Fade.Point> all = new ArrayList<>();
    // The design may have taken a scale in by now: shares are of what the cell had when new.
    var health = pack.cell().health();
    double fresh = pack.capacity() / (health == null ? 1 : health.capacity());
    for (Fact<Measurement> m : s.measured()) {
      if (m.counts()
          && m.value().of() instanceof Subject.Pack
          && m.value().quantity() == Measured.CAPACITY) {
        all.add(new Fade.Point(years(s, m.at()), m.value().value() / fresh, TYPED, "check-up"));
      }
    }
    double left = health == null ? 1 : health.capacity();
    for (ProveState.Row r : s.counting()) {
      Calibration c = fits.get(r.id());
      if (c != null && c.used() >= LEAST_USED && c.capacity().error() <= VAGUE) {
        all.add(
            new Fade.Point(
                years(s, r.run().at()),
                left * c.capacity().value(),
                Math.max(TYPED / 2, c.capacity().error()),
                "log"));
      }
    }
    all.sort(Comparator.comparingDouble(Fade.Point::years));
    return all;
  }

  private static List<Drift.CheckUp> checkUps(Shown s) {
    Map<Instant, Map<Integer, Double>> byTime = new TreeMap<>();
    for (Fact<Measurement> m : s.measured()) {
      if (m.counts()
          && m.value().of() instanceof Subject.Group g
          && m.value().quantity() == Measured.REST_VOLTAGE) {
        byTime.computeIfAbsent(m.at(), t -> new TreeMap<>()).put(g.index(), m.value().value());
      }
    }
    List<Drift.CheckUp> all = new ArrayList<>();
    Instant first = byTime.keySet().stream().findFirst().orElse(null);
    byTime.forEach(
        (at, volts) ->
            all.add(
                new Drift.CheckUp(
                    first == null ? 0 : Duration.between(first, at).toHours() / 24.0,
                    volts.values().stream().mapToDouble(v -> v).toArray())));
    return all;
  }

  private void capacity(@Nullable Double hours) {
    if (hours != null) {
      measure(
          List.of(measurement(new Subject.Pack(0), Measured.CAPACITY, hours)),
          "Capacity of the pack kept.");
    }
  }

  private static Measurement measurement(Subject of, Measured what, double value) {
    return new Measurement(of, what, value, Conditions.UNKNOWN, "", Origin.TYPED);
  }

  private String groups(String text) {
    Forecast f = state.forecast();
    if (f == null || text.isBlank()) {
      return "";
    }
    return switch (QuantityText.readRow(text, Unit.VOLT)) {
      case QuantityText.Row.NotUnderstood n -> n.why();
      case QuantityText.Row.Understood u -> checkUp(f.design().pack().series(), u.values());
    };
  }

  private String checkUp(int series, double[] volts) {
    if (volts.length != series) {
      return "%d voltages were typed, the pack has %d groups.".formatted(volts.length, series);
    }
    List<Measurement> all = new ArrayList<>();
    try {
      for (int g = 0; g < series; g++) {
        double v = Valid.range("Rest voltage of group " + (g + 1), volts[g], 0, 6, Unit.VOLT);
        all.add(measurement(new Subject.Group(g), Measured.REST_VOLTAGE, v));
      }
    } catch (InvalidValue e) {
      return String.valueOf(e.getMessage());
    }
    measure(all, "Check-up of %d groups kept.".formatted(series));
    return "";
  }

  private void measure(List<Measurement> all, String words) {
    Instant now = state.now();
    state.record(words, store -> store.inventory().measure(all, now));
  }

  private void rest(@Nullable Double volts) {
    Forecast f = state.forecast();
    if (volts == null || f == null) {
      charge.setText("");
      return;
    }
    Pack pack = f.design().pack();
    charge.setText(
        RestCharge.of(pack.cell(), volts / pack.series(), METER).words()
            + " After some hours at rest, at room temperature.");
  }

  private void remind(Shown s, Forecast f) {
    ZoneId zone = ZoneId.systemDefault();
    LocalDate today = state.now().atZone(zone).toLocalDate();
    Instant begun = s.begun();
    LocalDate built = begun == null ? today : begun.atZone(zone).toLocalDate();
    LocalDate checked =
        s.measured().stream()
            .filter(Fact::counts)
            .map(m -> m.at().atZone(zone).toLocalDate())
            .max(LocalDate::compareTo)
            .orElse(built);
    Pack pack = f.design().pack();
    String storage =
        "%s, about half full"
            .formatted(
                Figures.of(pack.series() * pack.cell().openCircuit().value(0.5), Unit.VOLT, 1));
    due = Reminder.of(built, checked, today, storage);
    StringBuilder text = new StringBuilder();
    for (Reminder r : due) {
      text.append(text.isEmpty() ? "" : "\n")
          .append(DAY.format(r.on()))
          .append(": ")
          .append(r.words())
          .append('.');
    }
    reminders.setText(text.toString());
  }

  private void save() {
    ZoneId zone = ZoneId.systemDefault();
    String pack = state.session().project().name();
    List<CalendarFile.Event> events =
        due.stream()
            .map(
                r ->
                    new CalendarFile.Event(
                        r.on().atTime(EVENING).atZone(zone), r.key() + "-" + r.on(), r.words()))
            .toList();
    bench
        .files()
        .save(
            "Save the reminders",
            new FileAsk.Kind("Calendars", List.of("*.ics")),
            pack + " reminders.ics")
        .ifPresent(file -> write(file, CalendarFile.of(events, pack, state.now())));
  }

  private void write(Path file, String text) {
    try {
      WholeFile.write(file, text.getBytes(StandardCharsets.UTF_8));
      state.say("Written to " + file.getFileName() + ".");
    } catch (IOException e) {
      state.say("%s cannot be written: %s.".formatted(file.getFileName(), e.getMessage()));
    }
  }
}
