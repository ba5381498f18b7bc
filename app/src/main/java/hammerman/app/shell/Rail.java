package hammerman.app.shell;

import hammerman.app.control.TypedField;
import hammerman.app.job.Latest;
import hammerman.app.session.Session;
import hammerman.app.station.Bench;
import hammerman.design.Design;
import hammerman.finding.Derivation;
import hammerman.finding.Finding;
import hammerman.finding.Severity;
import hammerman.finding.Station;
import hammerman.forecast.Forecast;
import hammerman.project.Project;
import hammerman.remedy.Remedy;
import hammerman.unit.Figures;
import hammerman.unit.InvalidValue;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.Set;
import java.util.function.Consumer;
import javafx.scene.Node;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.control.ScrollPane;
import javafx.scene.layout.GridPane;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.Region;
import javafx.scene.layout.VBox;
import javafx.util.Duration;
import org.jspecify.annotations.Nullable;

/**
 * The rail beside the page: the judgements, worst first, or the working of a figure. Where there
 * are many judgements, notes are folded to their titles.
 */
final class Rail extends VBox {
  /** How long nothing is edited before cures are looked for. */
  private static final Duration QUIET = Duration.millis(250);

  /** So many judgements are shown whole. */
  private static final int WHOLE = 2;

  private final Session session;
  private final Consumer<Station> go;
  private final Label heading = new Label();
  private final VBox list = new VBox(8);
  private List<Finding> shown = List.of();
  private List<Project.Acknowledgement> noted = List.of();
  private Bench.@Nullable Working working;
  private @Nullable Forecast forecast;
  private @Nullable Design curedFor;
  private final Set<String> unfolded = new HashSet<>();

  /** Findings all of whose remedies are shown. */
  private final Set<String> opened = new HashSet<>();

  private final Latest trying = new Latest("remedies");
  private final Map<String, List<Remedy>> remedies = new HashMap<>();
  private final Map<String, VBox> places = new HashMap<>();

  private final Button fold = new Button("Fold");

  Rail(Session session, Consumer<Station> go) {
    this.session = session;
    this.go = go;
    getStyleClass().add("rail");
    heading.getStyleClass().add("heading");
    heading.setId("rail-heading");
    list.setId("rail-list");
    ScrollPane scroll = new ScrollPane(list);
    scroll.setFitToWidth(true);
    scroll.setHbarPolicy(ScrollPane.ScrollBarPolicy.NEVER);
    scroll.getStyleClass().add("rail-scroll");
    VBox.setVgrow(scroll, Priority.ALWAYS);
    heading.setWrapText(true);
    heading.setMaxWidth(Double.MAX_VALUE);
    HBox.setHgrow(heading, Priority.ALWAYS);
    fold.setId("fold-rail");
    fold.getStyleClass().setAll("link");
    fold.setMinWidth(Region.USE_PREF_SIZE);
    getChildren().addAll(new HBox(8, heading, fold), scroll);
  }

  /** Says what is done to have it out of the way. */
  void onFold(Runnable action) {
    fold.setOnAction(e -> action.run());
  }

  void show(Forecast f) {
    forecast = f;
    if (working != null) {
      showWorking(working);
    } else if (!f.judgements().equals(shown)
        || !session.project().variant().acknowledged().equals(noted)
        || list.getChildren().isEmpty()) {
      showJudgements();
    } else if (!f.design().equals(curedFor)) {
      cure();
    }
  }

  /** Shows how a figure came about until the judgements are asked for again. */
  void showWorking(Bench.Working of) {
    working = of;
    if (forecast != null) {
      heading.setText("How this figure came about");
      list.getChildren().setAll(working(of.of(forecast)));
    }
  }

  void showJudgements() {
    working = null;
    shown = forecast == null ? List.of() : forecast.judgements();
    places.clear();
    noted = session.project().variant().acknowledged();
    heading.setText(summary(shown));
    list.getChildren().setAll(shown.stream().map(this::card).toList());
    if (shown.isEmpty()) {
      Label calm = new Label("Every rating lines up and the duty is served.");
      calm.getStyleClass().add("answer");
      list.getChildren().add(calm);
    }
    cure();
  }

  /** Looks for what cures the findings, in the background, worst first. */
  private void cure() {
    Forecast f = forecast;
    if (f == null || shown.isEmpty()) {
      trying.cancel();
      return;
    }
    if (!f.design().equals(curedFor)) {
      remedies.clear();
      curedFor = f.design();
    }
    places.forEach((id, place) -> place.getChildren().setAll(offers(id)));
    // While one edit follows another, looking for cures would only take time from them.
    trying.whenQuiet(QUIET, () -> next(f));
  }

  private void next(Forecast f) {
    places.forEach((id, place) -> place.getChildren().setAll(offers(id)));
    shown.stream()
        .filter(j -> places.containsKey(j.id()) && !remedies.containsKey(j.id()))
        .findFirst()
        .ifPresent(
            j ->
                trying.submit(
                    () -> Remedy.of(f, j, session.parts(), Thread.currentThread()::isInterrupted),
                    found -> {
                      remedies.put(j.id(), found);
                      next(f);
                    }));
  }

  private List<Node> offers(String id) {
    List<Remedy> found = remedies.get(id);
    if (found == null) {
      return List.of(text("Looking for what cures it …", "effect"));
    }
    if (found.isEmpty()) {
      return List.of();
    }
    List<Node> nodes = new ArrayList<>();
    int shownWays = opened.contains(id) ? found.size() : 1;
    for (int k = 0; k < shownWays; k++) {
      nodes.add(offer(found.get(k), "remedy-" + id.replace('.', '-') + "-" + (k + 1)));
    }
    if (shownWays < found.size()) {
      int more = found.size() - shownWays;
      Button link = new Button(more == 1 ? "Another way" : more + " other ways");
      link.setId("more-" + id.replace('.', '-'));
      link.getStyleClass().setAll("link");
      link.setOnAction(
          e -> {
            opened.add(id);
            Objects.requireNonNull(places.get(id)).getChildren().setAll(offers(id));
          });
      nodes.add(link);
    }
    return nodes;
  }

  private Node offer(Remedy r, String id) {
    Button act = new Button("Do this: " + r.what());
    act.setId(id);
    act.getStyleClass().setAll("button", "remedy");
    act.setWrapText(true);
    act.setMaxWidth(Double.MAX_VALUE);
    act.setMinHeight(Region.USE_PREF_SIZE);
    act.setAccessibleText("Do this: " + r.what() + "; " + r.effect());
    act.setOnAction(e -> apply(r));
    return new VBox(1, act, text(r.effect(), "effect"));
  }

  /** Does the first remedy of the gravest finding that has one; says so, or why not. */
  String first() {
    for (Finding j : shown) {
      List<Remedy> found = remedies.get(j.id());
      if (found != null && !found.isEmpty()) {
        Remedy r = found.getFirst();
        apply(r);
        return "Done: " + r.what() + ". Ctrl+Z takes it back.";
      }
    }
    return shown.isEmpty() ? "Nothing needs a cure." : "No cure by a change of parts was found.";
  }

  private void apply(Remedy r) {
    // The remedy is a whole design: it holds for the one that it was tried on.
    if (session.project().design().equals(curedFor)) {
      session.editDesign(r.what(), Station.GUARD, d -> r.design());
    }
  }

  private static String summary(List<Finding> judgements) {
    return "Judgements: "
        + (judgements.isEmpty() ? "nothing to object to" : Finding.tally(judgements));
  }

  private Node card(Finding j) {
    String severity = j.severity().name().toLowerCase(Locale.ROOT);
    Region mark = new Region();
    mark.getStyleClass().setAll("mark", severity);
    Label word = new Label(j.severity().word());
    word.getStyleClass().add("word");
    HBox head = new HBox(6, mark, word);
    head.setStyle("-fx-alignment: center-left;");
    Button link = new Button("Go to " + j.station().label());
    link.getStyleClass().setAll("link");
    link.setId("go-" + j.id().replace('.', '-'));
    link.setOnAction(e -> go.accept(j.station()));
    Optional<String> reason = session.project().variant().reasonFor(j.id());
    VBox card = new VBox(head, text(j.title(), "title"));
    boolean folded =
        j.severity() == Severity.NOTE
            && reason.isEmpty()
            && shown.size() > WHOLE
            && !unfolded.contains(j.id());
    if (folded) {
      card.getChildren().add(new HBox(14, unfold(j), link));
    } else {
      if (reason.isEmpty()) {
        VBox offers = new VBox(4);
        places.put(j.id(), offers);
        card.getChildren().addAll(text(j.why(), "why"), text(j.fix(), "fix"), offers);
        if (!j.caution().isEmpty()) {
          card.getChildren().add(text(j.caution(), "mind"));
        }
      } else {
        card.getChildren().add(text("Acknowledged: " + reason.get(), "fix"));
      }
      card.getChildren().add(new HBox(14, link, acknowledge(j, card, reason.isPresent())));
    }
    card.getStyleClass().addAll("judgement", severity);
    if (reason.isPresent()) {
      card.getStyleClass().add("acknowledged");
    }
    card.setId("judgement-" + j.id().replace('.', '-'));
    card.setAccessibleText(j.severity().word() + ": " + j.title() + ". " + j.why());
    return card;
  }

  /** A link that shows a folded judgement whole. */
  private Button unfold(Finding j) {
    Button link = new Button("Why, and what to do");
    link.setId("unfold-" + j.id().replace('.', '-'));
    link.getStyleClass().setAll("link");
    link.setOnAction(
        e -> {
          unfolded.add(j.id());
          showJudgements();
        });
    return link;
  }

  /** A link that takes note of a judgement with a reason, or takes that back. */
  private Button acknowledge(Finding j, VBox card, boolean noted) {
    Button link = new Button(noted ? "Take back" : "Acknowledge");
    link.setId((noted ? "take-back-" : "acknowledge-") + j.id().replace('.', '-'));
    link.getStyleClass().setAll("link");
    link.setOnAction(
        e -> {
          if (noted) {
            note(j, Optional.empty());
          } else {
            TypedField why =
                new TypedField(
                    "Why it is left as it is",
                    text -> text.isBlank() ? "Give a reason." : note(j, Optional.of(text.strip())));
            why.setId("reason");
            why.setPromptText("Why it is left as it is; Enter keeps it");
            card.getChildren().add(why);
            link.setDisable(true);
            why.requestFocus();
          }
        });
    return link;
  }

  private String note(Finding j, Optional<String> reason) {
    try {
      session.edit(
          (reason.isPresent() ? "Acknowledge " : "Take back ") + j.title(),
          j.station(),
          p -> p.withAcknowledged(j.id(), reason));
      return "";
    } catch (InvalidValue e) {
      return String.valueOf(e.getMessage());
    }
  }

  private Node working(Derivation d) {
    Button back = new Button("Back to the judgements");
    back.getStyleClass().setAll("link");
    back.setId("back-to-judgements");
    back.setOnAction(e -> showJudgements());
    GridPane inputs = new GridPane();
    inputs.setHgap(8);
    inputs.setVgap(6);
    int row = 0;
    for (Derivation.Input in : d.inputs()) {
      Label symbol = text(in.symbol(), "symbol");
      symbol.setMinWidth(Region.USE_PREF_SIZE);
      inputs.add(symbol, 0, row);
      VBox words =
          new VBox(
              text(in.value(), "input-value"),
              text(in.name() + " · " + in.origin().words(), "origin"));
      GridPane.setHgrow(words, Priority.ALWAYS);
      inputs.add(words, 1, row++);
    }
    VBox box =
        new VBox(
            8,
            back,
            text(d.title(), "title"),
            text(d.result(), "result"),
            text(d.formula(), "formula"),
            inputs,
            text("Source: " + d.source(), "source"),
            text("Holds for: " + d.validity(), "source"));
    if (d.extrapolated()) {
      box.getChildren().add(text("Outside this range: extrapolated.", "flag"));
    }
    box.getStyleClass().add("working");
    return box;
  }

  private static Label text(String words, String style) {
    Label label = new Label(Figures.unbroken(words));
    label.getStyleClass().add(style);
    label.setWrapText(true);
    label.setMinHeight(Region.USE_PREF_SIZE);
    return label;
  }
}
