package hammerman.app.shell;

import hammerman.finding.Finding;
import hammerman.finding.Severity;
import hammerman.forecast.Forecast;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.TreeMap;
import java.util.function.Consumer;
import java.util.stream.Collectors;
import javafx.geometry.Pos;
import javafx.scene.control.Button;
import javafx.scene.control.ContentDisplay;
import javafx.scene.layout.Pane;
import javafx.scene.layout.Region;
import javafx.scene.layout.VBox;

/**
 * Where the rail stands: beside the page, folded to a strip that counts the judgements, or away. In
 * a narrow window it is folded by itself, and lies over the page while it is open.
 */
final class RailPlace extends Pane {
  private static final double WIDE = 316;
  private static final double STRIP = 72;

  /** How much of the rail is seen. */
  enum Density {
    /** Beside the page where there is room, else folded. */
    OPEN("beside the page"),
    FOLDED("folded"),
    AWAY("away");

    private final String word;

    Density(String word) {
      this.word = word;
    }
  }

  private final Rail rail;
  private final VBox strip = new VBox(8);
  private final Consumer<String> remember;
  private Density density;
  private boolean narrow;
  private boolean over;
  private Map<Severity, Long> counted = Map.of();

  /**
   * @param kept name of the density it had; it is open if that is none
   * @param remember takes the name of the density that was chosen
   */
  RailPlace(Rail rail, String kept, Consumer<String> remember) {
    this.rail = rail;
    this.remember = remember;
    density =
        List.of(Density.values()).stream()
            .filter(d -> name(d).equals(kept))
            .findFirst()
            .orElse(Density.OPEN);
    strip.setAlignment(Pos.TOP_CENTER);
    strip.getStyleClass().add("rail-strip");
    strip.setId("rail-strip");
    rail.onFold(this::fold);
    getChildren().addAll(strip, rail);
    place();
  }

  private static String name(Density d) {
    return d.name().toLowerCase(Locale.ROOT);
  }

  /** Counts the judgements on the strip. */
  void show(Forecast forecast) {
    Map<Severity, Long> now =
        forecast.judgements().stream()
            .collect(Collectors.groupingBy(Finding::severity, TreeMap::new, Collectors.counting()));
    if (now.equals(counted) && !strip.getChildren().isEmpty()) {
      return;
    }
    counted = now;
    strip.getChildren().clear();
    now.forEach((s, n) -> strip.getChildren().add(count(s, n)));
    if (now.isEmpty()) {
      Region sound = new Region();
      sound.getStyleClass().setAll("mark", "sound");
      strip.getChildren().add(button("sound", sound, "Nothing to object to"));
    }
  }

  private Button count(Severity s, long n) {
    Region mark = new Region();
    mark.getStyleClass().setAll("mark", name(s));
    String words = n + " " + s.word().toLowerCase(Locale.ROOT) + (n > 1 ? "s" : "");
    return button(words.replace(' ', '\n'), mark, words);
  }

  private static String name(Severity s) {
    return s.name().toLowerCase(Locale.ROOT);
  }

  private Button button(String words, Region mark, String spoken) {
    Button b = new Button(words, mark);
    b.setContentDisplay(ContentDisplay.TOP);
    b.getStyleClass().setAll("rail-count");
    b.setAccessibleText(spoken + "; shows the judgements");
    b.setOnAction(e -> open());
    return b;
  }

  /** Shows the rail, wherever it was. */
  void open() {
    choose(Density.OPEN);
    over = narrow;
    place();
  }

  private void choose(Density now) {
    if (density != now) {
      density = now;
      remember.accept(name(now));
    }
  }

  private void fold() {
    if (over) {
      over = false;
    } else {
      choose(Density.FOLDED);
    }
    place();
  }

  /**
   * Goes on to the next density.
   *
   * @return what was done, as a sentence
   */
  String turn() {
    choose(Density.values()[(density.ordinal() + 1) % Density.values().length]);
    over = narrow && density == Density.OPEN;
    place();
    return "The judgements are %s; Ctrl+R goes on.".formatted(density.word);
  }

  /** Says whether the window is too narrow for a rail beside the page. */
  void narrow(boolean is) {
    if (narrow != is) {
      narrow = is;
      over = false;
      place();
    }
  }

  private boolean beside() {
    return density == Density.OPEN && !narrow;
  }

  private void place() {
    boolean open = beside() || over;
    rail.setVisible(open);
    rail.getStyleClass().remove("over");
    if (over) {
      rail.getStyleClass().add("over");
    }
    strip.setVisible(!beside() && density != Density.AWAY);
    requestLayout();
    if (getParent() != null) {
      getParent().requestLayout();
    }
  }

  @Override
  protected double computeMinWidth(double height) {
    return computePrefWidth(height);
  }

  @Override
  protected double computePrefWidth(double height) {
    return beside() ? WIDE : density == Density.AWAY ? 12 : STRIP;
  }

  @Override
  protected double computeMinHeight(double width) {
    return 0;
  }

  @Override
  protected double computePrefHeight(double width) {
    return rail.prefHeight(WIDE);
  }

  @Override
  protected void layoutChildren() {
    rail.resizeRelocate(getWidth() - WIDE, 0, WIDE, getHeight());
    strip.resizeRelocate(0, 0, STRIP, getHeight());
  }
}
