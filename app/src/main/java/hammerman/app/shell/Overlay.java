package hammerman.app.shell;

import hammerman.glossary.Term;
import java.util.List;
import java.util.function.Consumer;
import javafx.geometry.Insets;
import javafx.geometry.Pos;
import javafx.scene.Node;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.control.ScrollPane;
import javafx.scene.control.TextField;
import javafx.scene.input.KeyCode;
import javafx.scene.layout.Priority;
import javafx.scene.layout.Region;
import javafx.scene.layout.StackPane;
import javafx.scene.layout.VBox;
import javafx.scene.text.Text;
import javafx.scene.text.TextFlow;
import org.jspecify.annotations.Nullable;

/**
 * Cards laid over the page: the palette of commands and the explanation of a screen. Escape closes.
 */
final class Overlay extends StackPane {
  private static final double WIDTH = 520;
  private static final double HELP = 430;

  private @Nullable Node focusBefore;

  Overlay() {
    getStyleClass().add("overlay");
    setVisible(false);
    setOnMousePressed(
        e -> {
          if (e.getTarget() == this) {
            close();
          }
        });
    setOnKeyPressed(
        e -> {
          if (e.getCode() == KeyCode.ESCAPE) {
            close();
            e.consume();
          }
        });
  }

  void close() {
    setVisible(false);
    getChildren().clear();
    if (focusBefore != null) {
      focusBefore.requestFocus();
    }
  }

  /**
   * Opens a list of commands that narrows as one types.
   *
   * @return the list, to which more can be added
   */
  Palette palette(List<Command> commands) {
    Palette palette = new Palette(commands, this::close);
    open(palette.filter(), palette);
    return palette;
  }

  /** Asks for a short text. */
  void ask(String question, String word, Consumer<String> answer) {
    Label heading = new Label(question);
    heading.getStyleClass().add("question");
    TextField field = new TextField();
    field.setId("asked");
    Button button = new Button(word);
    button.setId("answer-asked");
    button.getStyleClass().add("act");
    Runnable done =
        () -> {
          String text = field.getText().strip();
          if (!text.isEmpty()) {
            close();
            answer.accept(text);
          }
        };
    field.setOnAction(e -> done.run());
    button.setOnAction(e -> done.run());
    open(field, heading, field, button);
  }

  /**
   * Opens an explanation.
   *
   * @param terms words of the field that it may be read with
   */
  void help(String title, String text, List<Term> terms) {
    Label heading = new Label(title);
    heading.getStyleClass().add("question");
    Label words = new Label(text);
    words.getStyleClass().add("help-text");
    words.setId("help-text");
    VBox all = new VBox(6, words);
    if (!terms.isEmpty()) {
      Label head = new Label("Words on this screen");
      head.getStyleClass().add("section-title");
      head.setMaxWidth(Double.MAX_VALUE);
      all.getChildren().add(head);
    }
    for (Term t : terms) {
      Text name = new Text(t.name() + ". ");
      name.getStyleClass().add("term");
      Text meaning = new Text(t.meaning());
      meaning.getStyleClass().add("meaning");
      all.getChildren().add(new TextFlow(name, meaning));
    }
    words.setMinHeight(Region.USE_PREF_SIZE);
    ScrollPane scroll = new ScrollPane(all);
    scroll.setFitToWidth(true);
    scroll.setHbarPolicy(ScrollPane.ScrollBarPolicy.NEVER);
    scroll.getStyleClass().add("page");
    scroll.setId("help-scroll");
    scroll.setPrefHeight(HELP);
    scroll.setAccessibleText("Explanation and words of the field");
    Button close = new Button("Close");
    close.getStyleClass().add("act");
    close.setOnAction(e -> close());
    open(close, heading, scroll, close);
  }

  /** Lays something over the whole window. */
  void fill(Node content) {
    if (!isVisible() && getScene() != null) {
      focusBefore = getScene().getFocusOwner();
    }
    Button back = new Button("Back to the window");
    back.setId("close-fill");
    back.getStyleClass().add("plain");
    back.setOnAction(e -> close());
    VBox sheet = new VBox(8, back, content);
    VBox.setVgrow(content, Priority.ALWAYS);
    sheet.getStyleClass().add("fill");
    getChildren().setAll(sheet);
    setVisible(true);
    content.requestFocus();
  }

  private void open(Node focus, Node... content) {
    if (!isVisible() && getScene() != null) {
      focusBefore = getScene().getFocusOwner();
    }
    VBox card = new VBox(content);
    card.getStyleClass().add("card");
    card.setMinWidth(WIDTH);
    card.setMaxSize(content.length > 3 ? Region.USE_PREF_SIZE : WIDTH, Region.USE_PREF_SIZE);
    setAlignment(card, Pos.TOP_CENTER);
    // As high as it wants within the window, whose scale may leave little.
    StackPane.setMargin(card, new Insets(Math.min(90, getHeight() / 12), 0, 16, 0));
    getChildren().setAll(card);
    setVisible(true);
    focus.requestFocus();
  }
}
