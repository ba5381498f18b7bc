package hammerman.app.shell;

import java.util.List;
import java.util.Locale;
import java.util.function.Consumer;
import javafx.geometry.Insets;
import javafx.geometry.Pos;
import javafx.scene.Node;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.control.ListCell;
import javafx.scene.control.ListView;
import javafx.scene.control.TextField;
import javafx.scene.input.KeyCode;
import javafx.scene.input.KeyEvent;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.Region;
import javafx.scene.layout.StackPane;
import javafx.scene.layout.VBox;
import org.jspecify.annotations.Nullable;

/**
 * Cards laid over the page: the palette of commands and the explanation of a screen. Escape closes.
 */
final class Overlay extends StackPane {
  private static final double WIDTH = 520;

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

  /** Opens a list of commands that narrows as one types. */
  void palette(List<Command> commands) {
    TextField filter = new TextField();
    filter.setPromptText("Type part of a command");
    filter.setId("palette-filter");
    ListView<Command> list = new ListView<>();
    list.setId("palette-list");
    list.getItems().setAll(commands);
    list.setCellFactory(v -> new CommandCell());
    list.getSelectionModel().selectFirst();
    list.setPrefHeight(330);
    filter
        .textProperty()
        .addListener(
            (o, was, is) -> {
              String part = is.toLowerCase(Locale.ROOT);
              list.getItems()
                  .setAll(
                      commands.stream()
                          .filter(c -> c.name().toLowerCase(Locale.ROOT).contains(part))
                          .toList());
              list.getSelectionModel().selectFirst();
            });
    Runnable run =
        () -> {
          Command chosen = list.getSelectionModel().getSelectedItem();
          if (chosen != null) {
            close();
            chosen.action().run();
          }
        };
    filter.setOnAction(e -> run.run());
    filter.addEventFilter(
        KeyEvent.KEY_PRESSED,
        e -> {
          if (e.getCode() == KeyCode.DOWN) {
            list.getSelectionModel().selectNext();
            e.consume();
          } else if (e.getCode() == KeyCode.UP) {
            list.getSelectionModel().selectPrevious();
            e.consume();
          }
        });
    list.setOnMouseClicked(e -> run.run());
    open(filter, filter, list);
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

  /** Opens an explanation. */
  void help(String title, String text) {
    Label heading = new Label(title);
    heading.getStyleClass().add("question");
    Label words = new Label(text);
    words.getStyleClass().add("help-text");
    words.setId("help-text");
    words.setMinHeight(Region.USE_PREF_SIZE);
    Button close = new Button("Close");
    close.getStyleClass().add("act");
    close.setOnAction(e -> close());
    open(close, heading, words, close);
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
    StackPane.setMargin(card, new Insets(90, 0, 0, 0));
    getChildren().setAll(card);
    setVisible(true);
    focus.requestFocus();
  }

  private static final class CommandCell extends ListCell<Command> {
    @Override
    protected void updateItem(@Nullable Command command, boolean empty) {
      super.updateItem(command, empty);
      if (empty || command == null) {
        setGraphic(null);
        return;
      }
      Label name = new Label(command.name());
      Label keys = new Label(command.keysText());
      keys.getStyleClass().add("fact-name");
      Region spring = new Region();
      HBox.setHgrow(spring, Priority.ALWAYS);
      setGraphic(new HBox(name, spring, keys));
    }
  }
}
