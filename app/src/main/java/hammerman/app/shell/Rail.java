package hammerman.app.shell;

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
import java.util.Map;
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
final class Rail extends VBox implements JudgementCard.Acts {
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

  /** The cards that are shown. */
  private List<JudgementCard> cards = List.of();

  private final Label calm = new Label("Every rating lines up and the duty is served.");
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
    calm.getStyleClass().add("answer");
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

  /**
   * Shows how a figure came about until the judgements are asked for again, or there is no such
   * figure any more.
   */
  void showWorking(Bench.Working of) {
    working = of;
    if (forecast != null) {
      of.of(forecast)
          .ifPresentOrElse(
              d -> {
                heading.setText("How this figure came about");
                list.getChildren().setAll(working(d));
              },
              this::showJudgements);
    }
  }

  void showJudgements() {
    working = null;
    shown = forecast == null ? List.of() : forecast.judgements();
    noted = session.project().variant().acknowledged();
    heading.setText(summary(shown));
    List<JudgementCard> spare = new ArrayList<>(cards);
    cards = shown.stream().map(j -> card(j, spare)).toList();
    arrange(shown.isEmpty() ? List.of(calm) : cards);
    cure();
  }

  /** Shows these nodes; what is shown already stays where it is, as far as it can. */
  private void arrange(List<? extends Node> wanted) {
    List<Node> now = list.getChildren();
    now.retainAll(Set.copyOf(wanted));
    for (int k = 0; k < wanted.size(); k++) {
      Node node = wanted.get(k);
      if (k >= now.size() || !now.get(k).equals(node)) {
        now.remove(node);
        now.add(k, node);
      }
    }
  }

  /** The card of a judgement: that which showed it before, with its present words. */
  private JudgementCard card(Finding j, List<JudgementCard> spare) {
    Optional<String> reason = session.project().variant().reasonFor(j.id());
    boolean folded =
        j.severity() == Severity.NOTE
            && reason.isEmpty()
            && shown.size() > WHOLE
            && !unfolded.contains(j.id());
    JudgementCard.Shape shape = JudgementCard.Shape.of(j, folded, reason);
    JudgementCard card =
        spare.stream()
            .filter(c -> c.shape().equals(shape))
            .findFirst()
            .orElseGet(() -> new JudgementCard(j, shape, this));
    spare.remove(card);
    card.show(j, reason);
    return card;
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
    offer();
    // While one edit follows another, looking for cures would only take time from them.
    trying.whenQuiet(QUIET, () -> next(f));
  }

  private void next(Forecast f) {
    offer();
    shown.stream()
        .filter(j -> isOffered(j.id()) && !remedies.containsKey(j.id()))
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

  /** Puts what was found so far on the cards. */
  private void offer() {
    for (JudgementCard c : cards) {
      if (c.offers()) {
        c.offer(remedies.get(c.shape().id()), opened.contains(c.shape().id()));
      }
    }
  }

  private boolean isOffered(String id) {
    return cards.stream().anyMatch(c -> c.offers() && c.shape().id().equals(id));
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

  @Override
  public void apply(Remedy r) {
    // The remedy is a whole design: it holds for the one that it was tried on.
    if (session.project().design().equals(curedFor)) {
      session.editDesign(r.what(), Station.GUARD, d -> r.design());
    }
  }

  private static String summary(List<Finding> judgements) {
    return "Judgements: "
        + (judgements.isEmpty() ? "nothing to object to" : Finding.tally(judgements));
  }

  @Override
  public void go(Station station) {
    go.accept(station);
  }

  @Override
  public void unfold(String id) {
    unfolded.add(id);
    showJudgements();
  }

  @Override
  public void open(String id) {
    opened.add(id);
    offer();
  }

  @Override
  public String note(Finding j, Optional<String> reason) {
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
