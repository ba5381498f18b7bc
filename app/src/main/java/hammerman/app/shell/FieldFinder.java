package hammerman.app.shell;

import hammerman.app.control.Reveal;
import hammerman.app.shell.Command.Group;
import hammerman.app.station.Page;
import hammerman.finding.Station;
import hammerman.glossary.Glossary;
import java.util.ArrayList;
import java.util.List;
import java.util.function.BiConsumer;
import java.util.function.Consumer;
import java.util.stream.Collectors;
import javafx.application.Platform;
import javafx.scene.Node;
import javafx.scene.Parent;
import javafx.scene.control.Label;
import javafx.scene.control.Labeled;
import javafx.scene.control.ScrollPane;

/** Finds the fields of all stations, to be gone to by their names. */
final class FieldFinder {
  private final Stations stations;
  private final BiConsumer<Station, String> go;
  private final Consumer<List<Command>> found;
  private final List<Station> left = new ArrayList<>(Stations.inOrder());

  /**
   * @param go goes to a view of a station; an empty view is its page
   * @param found takes the fields of each station
   */
  FieldFinder(Stations stations, BiConsumer<Station, String> go, Consumer<List<Command>> found) {
    this.stations = stations;
    this.go = go;
    this.found = found;
  }

  /** Finds those of the next station, and the others after it, without holding the window up. */
  void next() {
    if (!left.isEmpty()) {
      Station station = left.removeFirst();
      Platform.runLater(
          () -> {
            found.accept(fields(stations.of(station).page()));
            next();
          });
    }
  }

  private List<Command> fields(Page page) {
    List<Command> all = new ArrayList<>();
    page.parts().forEach((view, node) -> collect(page.station(), view, node, all));
    return all;
  }

  private void collect(Station station, String view, Node node, List<Command> all) {
    if (node instanceof Label label
        && label.getLabelFor() != null
        && all.stream().noneMatch(c -> c.name().equals(name(label, station)))) {
      Node field = label.getLabelFor();
      all.add(
          Group.GO
              .of(
                  name(label, station),
                  () -> {
                    go.accept(station, view);
                    Platform.runLater(() -> Reveal.focus(field));
                  })
              .also("field " + terms(label.getText())));
    }
    children(node).forEach(n -> collect(station, view, n, all));
  }

  /** The standard terms that a field's name stands for, so that it is found by them too. */
  private static String terms(String name) {
    return Glossary.of(name).stream()
        .map(t -> t.name() + " " + String.join(" ", t.others()))
        .collect(Collectors.joining(" "));
  }

  private static String name(Label label, Station station) {
    return label.getText() + ", at " + station.label();
  }

  /** What a node holds; a pane that scrolls has no children before it is first drawn. */
  private static List<Node> children(Node node) {
    return switch (node) {
      case ScrollPane p -> p.getContent() == null ? List.of() : List.of(p.getContent());
      case Parent p -> p.getChildrenUnmodifiable();
      default -> List.of();
    };
  }

  /** Returns all words that stand on a node. */
  static String words(Node node) {
    StringBuilder all = new StringBuilder();
    gather(node, all);
    return all.toString();
  }

  private static void gather(Node node, StringBuilder all) {
    if (node instanceof Labeled l && l.getText() != null) {
      all.append(l.getText()).append('\n');
    }
    if (node.isVisible()) {
      children(node).forEach(n -> gather(n, all));
    }
  }
}
