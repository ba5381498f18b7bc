package hammerman.app.shell;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import javafx.scene.control.Label;
import javafx.scene.control.ListCell;
import javafx.scene.control.ListView;
import javafx.scene.control.TextField;
import javafx.scene.input.KeyCode;
import javafx.scene.input.KeyEvent;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.Region;
import javafx.scene.layout.VBox;
import org.jspecify.annotations.Nullable;

/** A list of commands that narrows as one types words of them, in any order. */
final class Palette extends VBox {
  private static final double HEIGHT = 330;

  private final List<Command> commands = new ArrayList<>();
  private final TextField filter = new TextField();
  private final ListView<Command> list = new ListView<>();
  private final Runnable close;

  /**
   * @param close takes the palette away, before a command is done
   */
  Palette(List<Command> commands, Runnable close) {
    super(8);
    this.close = close;
    this.commands.addAll(commands);
    filter.setPromptText("Type words of what you look for");
    filter.setAccessibleText("Words of a command or a field");
    filter.setId("palette-filter");
    list.setId("palette-list");
    list.setAccessibleText("Commands and fields");
    list.setCellFactory(v -> new CommandCell());
    list.setPrefHeight(HEIGHT);
    Label none = new Label("Nothing has all these words. Try fewer, or another one.");
    none.getStyleClass().add("answer");
    list.setPlaceholder(none);
    filter.textProperty().addListener((o, was, is) -> narrow());
    filter.setOnAction(e -> run());
    filter.addEventFilter(KeyEvent.KEY_PRESSED, this::key);
    list.setOnMouseClicked(e -> run());
    getChildren().addAll(filter, list);
    narrow();
  }

  TextField filter() {
    return filter;
  }

  /** Adds what was found later; what is typed and chosen stays. */
  void add(List<Command> more) {
    Command chosen = list.getSelectionModel().getSelectedItem();
    commands.addAll(more);
    narrow();
    if (chosen != null && list.getItems().contains(chosen)) {
      list.getSelectionModel().select(chosen);
    }
  }

  private void narrow() {
    String typed = filter.getText().strip().toLowerCase(Locale.ROOT);
    List<Command> found = new ArrayList<>();
    int first = 0;
    for (Command c : commands) {
      if (c.has(typed)) {
        // What begins with the words is most likely meant.
        boolean begins = c.name().toLowerCase(Locale.ROOT).startsWith(typed);
        found.add(begins ? first++ : found.size(), c);
      }
    }
    list.getItems().setAll(found);
    list.getSelectionModel().selectFirst();
  }

  private void key(KeyEvent e) {
    if (e.getCode() == KeyCode.DOWN || e.getCode() == KeyCode.UP) {
      if (e.getCode() == KeyCode.DOWN) {
        list.getSelectionModel().selectNext();
      } else {
        list.getSelectionModel().selectPrevious();
      }
      list.scrollTo(Math.max(0, list.getSelectionModel().getSelectedIndex() - 4));
      e.consume();
    }
  }

  private void run() {
    Command chosen = list.getSelectionModel().getSelectedItem();
    if (chosen != null) {
      close.run();
      chosen.action().run();
    }
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
      keys.setMinWidth(Region.USE_PREF_SIZE);
      Region spring = new Region();
      HBox.setHgrow(spring, Priority.ALWAYS);
      setGraphic(new HBox(8, name, spring, keys));
    }
  }
}
