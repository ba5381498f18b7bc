package hammerman.app.shell;

import java.util.List;
import java.util.Locale;
import java.util.function.Supplier;
import javafx.scene.control.Menu;
import javafx.scene.control.MenuButton;
import javafx.scene.control.MenuItem;
import javafx.scene.input.KeyEvent;
import javafx.scene.layout.Region;

/** All that can be done by name: in the menu by groups, in the palette, and by keys. */
final class Commands {
  private final List<Command> all;

  Commands(List<Command> all) {
    this.all = List.copyOf(all);
  }

  List<Command> all() {
    return all;
  }

  /** Does what a key is for; returns whether it is for anything. */
  boolean press(KeyEvent e, Runnable before) {
    for (Command c : all) {
      if (c.keys() != null && c.keys().match(e)) {
        before.run();
        c.action().run();
        return true;
      }
    }
    return false;
  }

  /**
   * Makes the menu.
   *
   * @param recent what was open lately, asked for whenever the menu opens
   */
  MenuButton menu(Supplier<List<Command>> recent) {
    MenuButton button = new MenuButton("Menu");
    button.getStyleClass().add("plain");
    button.setId("menu");
    button.setMinWidth(Region.USE_PREF_SIZE);
    for (Command.Group group : Command.Group.values()) {
      Menu menu = new Menu(group.label());
      menu.setId("menu-" + group.label().toLowerCase(Locale.ROOT));
      all.stream().filter(c -> c.group() == group).forEach(c -> menu.getItems().add(item(c)));
      button.getItems().add(menu);
    }
    Menu lately = new Menu("Open recent");
    lately.setId("menu-recent");
    ((Menu) button.getItems().getFirst()).getItems().add(2, lately);
    button.setOnShowing(
        e -> {
          lately.getItems().setAll(recent.get().stream().map(Commands::item).toList());
          lately.setDisable(lately.getItems().isEmpty());
        });
    return button;
  }

  private static MenuItem item(Command c) {
    MenuItem item = new MenuItem(c.name());
    item.setAccelerator(c.keys());
    item.setOnAction(e -> c.action().run());
    return item;
  }
}
