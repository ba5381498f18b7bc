package hammerman.app.shell;

import hammerman.app.control.TypedField;
import hammerman.finding.Finding;
import hammerman.finding.Severity;
import hammerman.finding.Station;
import hammerman.remedy.Remedy;
import hammerman.unit.Figures;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Objects;
import java.util.Optional;
import javafx.scene.Node;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Region;
import javafx.scene.layout.VBox;
import org.jspecify.annotations.Nullable;

/**
 * One judgement in the rail. It stays while the design changes under it and only its words follow,
 * so that what has the focus or is being typed in it is not lost, and an edit is shown soon.
 */
final class JudgementCard extends VBox {
  /** What can be done on a card. */
  interface Acts {
    /** Goes where the judgement is about. */
    void go(Station station);

    /** Shows a folded judgement whole. */
    void unfold(String id);

    /** Shows all that cures it. */
    void open(String id);

    /** Does what cures it. */
    void apply(Remedy remedy);

    /**
     * Takes note of a judgement with a reason, or takes that back.
     *
     * @return why not, or nothing
     */
    String note(Finding finding, Optional<String> reason);
  }

  /**
   * What a card is made for; another judgement, or the same in another shape, has another card.
   *
   * @param id of the judgement
   * @param folded whether only its title is shown
   * @param acknowledged whether it was taken note of
   * @param cautioned whether there is something to mind
   */
  record Shape(
      String id, Severity severity, boolean folded, boolean acknowledged, boolean cautioned) {

    static Shape of(Finding j, boolean folded, Optional<String> reason) {
      return new Shape(j.id(), j.severity(), folded, reason.isPresent(), !j.caution().isEmpty());
    }
  }

  private final Acts acts;
  private final Shape shape;
  private final String key;
  private final Label title = words("title");
  private final Label why = words("why");
  private final Label fix = words("fix");
  private final Label mind = words("mind");
  private final Label looking = words("effect");
  private final VBox offers = new VBox(4);
  private final Button link = new Button();
  private Finding finding;
  private @Nullable List<Remedy> offered;
  private boolean open;

  JudgementCard(Finding first, Shape shape, Acts acts) {
    this.finding = first;
    this.shape = shape;
    this.acts = acts;
    key = shape.id().replace('.', '-');
    String severity = shape.severity().name().toLowerCase(Locale.ROOT);
    Region mark = new Region();
    mark.getStyleClass().setAll("mark", severity);
    Label word = new Label(shape.severity().word());
    word.getStyleClass().add("word");
    HBox head = new HBox(6, mark, word);
    head.setStyle("-fx-alignment: center-left;");
    link.getStyleClass().setAll("link");
    link.setId("go-" + key);
    link.setOnAction(e -> acts.go(finding.station()));
    looking.setText("Looking for what cures it …");
    getChildren().addAll(head, title);
    if (shape.folded()) {
      getChildren().add(new HBox(14, unfold(), link));
    } else if (shape.acknowledged()) {
      getChildren().addAll(fix, new HBox(14, link, acknowledge()));
    } else {
      getChildren().addAll(why, fix, offers);
      if (shape.cautioned()) {
        getChildren().add(mind);
      }
      getChildren().add(new HBox(14, link, acknowledge()));
    }
    getStyleClass().addAll("judgement", severity);
    if (shape.acknowledged()) {
      getStyleClass().add("acknowledged");
    }
    setId("judgement-" + key);
  }

  Shape shape() {
    return shape;
  }

  /** Whether cures are shown on it. */
  boolean offers() {
    return !shape.folded() && !shape.acknowledged();
  }

  /** Says what a judgement of this shape says. */
  void show(Finding j, Optional<String> reason) {
    finding = j;
    say(title, j.title());
    say(why, j.why());
    say(fix, reason.map(r -> "Acknowledged: " + r).orElse(j.fix()));
    say(mind, j.caution());
    link.setText("Go to " + j.station().label());
    setAccessibleText(j.severity().word() + ": " + j.title() + ". " + j.why());
  }

  /**
   * Offers what cures it.
   *
   * @param found the cures; nothing while they are looked for
   * @param all whether to offer all, or the first and a way to the others
   */
  void offer(@Nullable List<Remedy> found, boolean all) {
    if (offers.getChildren().isEmpty() || !Objects.equals(found, offered) || all != open) {
      offered = found;
      open = all;
      offers.getChildren().setAll(found == null ? List.of(looking) : ways(found, all));
    }
  }

  private List<Node> ways(List<Remedy> found, boolean all) {
    List<Node> nodes = new ArrayList<>();
    int shown = all ? found.size() : Math.min(1, found.size());
    for (int k = 0; k < shown; k++) {
      nodes.add(offer(found.get(k), "remedy-" + key + "-" + (k + 1)));
    }
    if (shown < found.size()) {
      int more = found.size() - shown;
      Button others = new Button(more == 1 ? "Another way" : more + " other ways");
      others.setId("more-" + key);
      others.getStyleClass().setAll("link");
      others.setOnAction(e -> acts.open(shape.id()));
      nodes.add(others);
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
    act.setOnAction(e -> acts.apply(r));
    Label effect = words("effect");
    say(effect, r.effect());
    return new VBox(1, act, effect);
  }

  /** A link that shows a folded judgement whole. */
  private Button unfold() {
    Button whole = new Button("Why, and what to do");
    whole.setId("unfold-" + key);
    whole.getStyleClass().setAll("link");
    whole.setOnAction(e -> acts.unfold(shape.id()));
    return whole;
  }

  /** A link that takes note of the judgement with a reason, or takes that back. */
  private Button acknowledge() {
    boolean noted = shape.acknowledged();
    Button note = new Button(noted ? "Take back" : "Acknowledge");
    note.setId((noted ? "take-back-" : "acknowledge-") + key);
    note.getStyleClass().setAll("link");
    note.setOnAction(
        e -> {
          if (noted) {
            acts.note(finding, Optional.empty());
          } else {
            ask();
            note.setDisable(true);
          }
        });
    return note;
  }

  private void ask() {
    TypedField reason =
        new TypedField(
            "Why it is left as it is",
            text ->
                text.isBlank() ? "Give a reason." : acts.note(finding, Optional.of(text.strip())));
    reason.setId("reason");
    reason.setPromptText("Why it is left as it is; Enter keeps it");
    getChildren().add(reason);
    reason.requestFocus();
  }

  private static void say(Label label, String words) {
    label.setText(Figures.unbroken(words));
  }

  private static Label words(String style) {
    Label label = new Label();
    label.getStyleClass().add(style);
    label.setWrapText(true);
    label.setMinHeight(Region.USE_PREF_SIZE);
    return label;
  }
}
