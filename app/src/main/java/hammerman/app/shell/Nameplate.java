package hammerman.app.shell;

import hammerman.app.control.FigureView;
import hammerman.app.control.TypedField;
import hammerman.app.session.Session;
import hammerman.app.station.Bench;
import hammerman.cell.CellType;
import hammerman.finding.Station;
import hammerman.forecast.Forecast;
import hammerman.forecast.Headline;
import hammerman.forecast.Workings;
import hammerman.pack.Pack;
import hammerman.project.Project;
import hammerman.unit.InvalidValue;
import java.util.LinkedHashMap;
import java.util.Map;
import java.util.Objects;
import javafx.geometry.Insets;
import javafx.scene.control.Label;
import javafx.scene.control.Tooltip;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.Region;
import javafx.scene.layout.VBox;
import org.jspecify.annotations.Nullable;

/** The nameplate: the pack in one strip. */
final class Nameplate extends HBox {
  /** A name takes as much of the strip as is left, up to this, px. */
  private static final double LONGEST_NAME = 620;

  private final Session session;
  private final TypedField name = new TypedField("Name of the project", this::rename);
  private boolean compact;
  private boolean brief;
  private boolean narrow;
  private String full = "";
  private String called = "";
  private String place = "";
  private @Nullable CellType cell;
  private final Label variant = new Label();
  private final Label counts = new Label();
  private final Label chemistry = new Label();
  private final Map<Headline, FigureView> figures = new LinkedHashMap<>();

  Nameplate(Bench bench) {
    session = bench.session();
    getStyleClass().add("plate");
    name.getStyleClass().add("pack-name");
    name.setId("pack-name");
    name.widen(190, LONGEST_NAME);
    name.giveWay();
    variant.getStyleClass().add("variant");
    variant.setId("variant");
    counts.getStyleClass().add("counts");
    counts.setId("counts");
    counts.setMinWidth(USE_PREF_SIZE);
    chemistry.getStyleClass().add("variant");
    chemistry.setMinWidth(USE_PREF_SIZE);
    VBox title = new VBox(0, name, variant);
    VBox.setMargin(variant, new Insets(0, 0, 0, 5));
    getChildren().addAll(rivet(), title, spring(), new VBox(-2, counts, chemistry), spring());
    figure(bench, "Nominal", Headline.NOMINAL_VOLTAGE);
    figure(bench, "Full", Headline.FULL_VOLTAGE);
    figure(bench, "Capacity", Headline.CAPACITY);
    figure(bench, "Energy", Headline.ENERGY);
    figure(bench, "Mass", Headline.MASS);
    figure(bench, "Cells cost", Headline.COST);
    getChildren().add(rivet());
  }

  /** Takes less room: a shorter name, and no price. */
  void compact(boolean is) {
    name.widen(is ? 130 : 190, LONGEST_NAME);
    compact = is;
    named();
    FigureView price = Objects.requireNonNull(figures.get(Headline.COST));
    price.setVisible(!is);
    price.setManaged(!is);
  }

  /** Takes the least: one variant among several by its place alone. */
  void narrow(boolean is) {
    narrow = is;
    variant();
  }

  /** Takes a little less: the cell by its chemistry alone. */
  void brief(boolean is) {
    brief = is;
    chemistry();
  }

  void show(Project project) {
    name.show(project.name());
    full = project.name();
    named();
    int of = project.variants().size();
    called = project.variant().name();
    place = of > 1 ? "variant " + (project.active() + 1) + " of " + of : "";
    variant();
  }

  /** A long name in a narrow window is told whole when one points. */
  private void named() {
    name.setTooltip(compact && !full.isEmpty() ? new Tooltip(full) : null);
  }

  /** In the narrowest window the name of one among several is told when one points. */
  private void variant() {
    String whole = place.isEmpty() ? called : called + " · " + place;
    boolean shorter = narrow && !place.isEmpty();
    variant.setText(shorter ? place : whole);
    variant.setTooltip(shorter ? new Tooltip(whole) : null);
  }

  void show(Forecast f) {
    Pack pack = f.design().pack();
    counts.setText(pack.counts());
    cell = pack.cell();
    chemistry();
    figures.forEach((headline, view) -> view.show(Workings.figure(headline, f)));
  }

  /** In a narrow window the name of the cell is told when one points. */
  private void chemistry() {
    CellType of = cell;
    if (of != null) {
      String whole = of.name() + " · " + of.chemistry().label();
      chemistry.setText(brief ? of.chemistry().label() : whole);
      chemistry.setTooltip(brief ? new Tooltip(whole) : null);
    }
  }

  private void figure(Bench bench, String caption, Headline headline) {
    FigureView view = bench.figure(caption, headline);
    figures.put(headline, view);
    getChildren().add(view);
  }

  private String rename(String typed) {
    try {
      session.edit("Name", Station.DUTY, p -> p.withName(typed.strip()));
      return "";
    } catch (InvalidValue e) {
      return String.valueOf(e.getMessage());
    }
  }

  private static Region spring() {
    Region spring = new Region();
    setHgrow(spring, Priority.ALWAYS);
    return spring;
  }

  private static Region rivet() {
    Region rivet = new Region();
    rivet.getStyleClass().add("rivet");
    HBox.setMargin(rivet, new Insets(0, 6, 0, 0));
    return rivet;
  }
}
