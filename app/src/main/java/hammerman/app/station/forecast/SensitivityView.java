package hammerman.app.station.forecast;

import hammerman.app.control.Beside;
import hammerman.app.control.QuantityField;
import hammerman.app.control.Words;
import hammerman.app.job.Latest;
import hammerman.app.session.Session;
import hammerman.app.station.Page;
import hammerman.finding.Station;
import hammerman.forecast.Answer;
import hammerman.forecast.Forecast;
import hammerman.forecast.Sensitivity;
import hammerman.remedy.Target;
import hammerman.unit.Currency;
import hammerman.unit.Figures;
import hammerman.unit.InvalidValue;
import hammerman.unit.Unit;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import javafx.geometry.Pos;
import javafx.scene.control.Hyperlink;
import javafx.scene.control.Label;
import javafx.scene.control.ToggleButton;
import javafx.scene.control.ToggleGroup;
import javafx.scene.layout.FlowPane;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.Region;
import javafx.scene.layout.VBox;
import org.jspecify.annotations.Nullable;

/** Which input moves an answer most, and what would have to be true for a wanted one. */
final class SensitivityView extends VBox {
  private final Session session;
  private final Latest working = Latest.ofDetails("sensitivity");
  private final Latest trying = new Latest("target");
  private final ToggleGroup group = new ToggleGroup();
  private final List<ToggleButton> answers = new ArrayList<>();
  private final SensitivitySheet sheet = new SensitivitySheet();
  private final HBox asking = new HBox(8);
  private final Words complaint = new Words("complaint", "target-complaint");
  private final Label words = new Label();
  private final VBox ways = new VBox(6);
  private Answer answer = Answer.TIME;
  private @Nullable Forecast of;
  private @Nullable Sensitivity made;
  private @Nullable Double wanted;
  private @Nullable QuantityField field;

  SensitivityView(Session session) {
    super(8);
    this.session = session;
    FlowPane row = new FlowPane();
    for (Answer a : Answer.values()) {
      ToggleButton button = new ToggleButton(a.label());
      button.setId("answer-" + a.name().toLowerCase(Locale.ROOT));
      button.getStyleClass().add("segment");
      button.setToggleGroup(group);
      button.setSelected(a == answer);
      button.setOnAction(e -> choose(a));
      answers.add(button);
      row.getChildren().add(button);
    }
    asking.setId("target");
    asking.setAlignment(Pos.CENTER_LEFT);
    words.setId("target-words");
    words.setWrapText(true);
    words.setMinHeight(Region.USE_PREF_SIZE);
    ways.setId("ways");
    VBox left = new VBox(4, Page.heading("What moves it most"), sheet);
    VBox.setVgrow(sheet, Priority.ALWAYS);
    left.setMinWidth(430);
    left.setPrefWidth(560);
    sheet.setMinHeight(240);
    VBox right =
        new VBox(6, Page.heading("What would have to be true"), asking, complaint, words, ways);
    right.setMinWidth(300);
    Beside parts = new Beside(left, right);
    VBox.setVgrow(parts, Priority.ALWAYS);
    getChildren().addAll(row, parts);
    ask();
  }

  /** Works out what moves a forecast, unless it is the one at hand. */
  void show(Forecast f) {
    if (of != null && of.design().equals(f.design())) {
      return;
    }
    of = f;
    boolean way = f.range() > 0;
    answers.get(Answer.RANGE.ordinal()).setDisable(!way);
    if (!way && answer == Answer.RANGE) {
      choose(Answer.TIME);
    }
    working.submit(
        () -> Sensitivity.of(f),
        s -> {
          made = s;
          sheet.show(s, answer);
        });
    attempt();
  }

  private void choose(Answer a) {
    answer = a;
    wanted = null;
    answers.get(a.ordinal()).setSelected(true);
    sheet.show(made, a);
    ask();
    attempt();
  }

  /** Asks for the target of the answer that is looked at. */
  private void ask() {
    Label name = new Label("%s wanted".formatted(answer.label()));
    name.getStyleClass().add("fact-name");
    QuantityField typed =
        new QuantityField(
            answer.label() + " wanted",
            answer.unit(),
            true,
            v -> {
              if (v != null && !(Double.isFinite(v) && (answer == Answer.HOTTEST || v > 0))) {
                throw new InvalidValue(
                    answer.label() + " wanted", Figures.plain(v), "must be above 0", "Type more.");
              }
              wanted = v;
              attempt();
            });
    typed.setId("wanted");
    typed.setPrefWidth(96);
    field = typed;
    complaint.textProperty().bind(typed.complaintProperty());
    Label unit = new Label(answer.unit().symbol());
    unit.getStyleClass().add("unit");
    asking.getChildren().setAll(name, typed, unit);
  }

  private void attempt() {
    Forecast f = of;
    Double target = wanted;
    ways.getChildren().clear();
    if (field != null) {
      field.show(target);
    }
    if (f == null || target == null) {
      trying.cancel();
      double now = f == null ? Double.NaN : answer.of(f);
      words.setText(
          Double.isFinite(now)
              ? Figures.unbroken(
                  "Now %s (%s). Type what you want; each lever is then tried alone, and the least change that meets it is offered."
                      .formatted(answer.shown(now), answer.when()))
              : "");
      return;
    }
    Answer a = answer;
    words.setText("Every lever is tried …");
    trying.submit(
        () -> Target.of(f, a, target, Thread.currentThread()::isInterrupted),
        found -> tell(f, found),
        e -> words.setText("It could not be worked out: " + Latest.inWords(e) + "."));
  }

  private void tell(Forecast f, Target t) {
    String asked = t.answer().shown(t.wanted());
    String now = t.answer().shown(t.answer().of(f));
    words.setText(
        Figures.unbroken(
            t.met()
                ? "%s is met as things are: %s.".formatted(asked, now)
                : t.ways().isEmpty()
                    ? "No single lever makes %s out of %s.".formatted(asked, now)
                    : "For %s instead of %s, one of these:".formatted(asked, now)));
    for (Target.Way w : t.ways()) {
      int k = ways.getChildren().size();
      Hyperlink todo = new Hyperlink("Do this: " + w.what());
      todo.setId("way-" + k);
      todo.setWrapText(true);
      todo.setOnAction(e -> session.editDesign("Target", Station.FORECAST, d -> w.design()));
      ways.getChildren().add(new VBox(todo, line(effect(t, w, prices()), "fact-name")));
      if (!w.stops().isEmpty()) {
        ways.getChildren()
            .add(line("But then a stop: " + String.join("; ", w.stops()), "complaint"));
      }
    }
    for (String v : t.vain()) {
      ways.getChildren().add(line(v + ", which is not enough.", "fact-name"));
    }
  }

  private static Label line(String text, String style) {
    Label label = new Label(Figures.unbroken(text));
    label.getStyleClass().add(style);
    label.setWrapText(true);
    label.setMinHeight(Region.USE_PREF_SIZE);
    return label;
  }

  private Currency prices() {
    return session.project().duty().bounds().prices();
  }

  private static String effect(Target t, Target.Way w, Currency prices) {
    StringBuilder all = new StringBuilder(t.answer().label()).append(" becomes ");
    all.append(t.answer().shown(w.value()));
    if (Math.abs(w.mass()) >= 5e-4) {
      all.append(w.mass() > 0 ? "; +" : "; −")
          .append(Figures.of(Math.abs(w.mass()), Unit.KILOGRAM));
    }
    if (Math.abs(w.cost()) >= 0.5) {
      all.append(w.cost() > 0 ? ", +" : ", −")
          .append(prices.money(Math.abs(w.cost()), 0))
          .append(" for cells");
    }
    return all.toString();
  }
}
