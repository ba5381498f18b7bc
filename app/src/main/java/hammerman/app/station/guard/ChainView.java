package hammerman.app.station.guard;

import hammerman.app.control.FigureView;
import hammerman.app.session.Session;
import hammerman.app.station.Bench;
import hammerman.app.station.Page;
import hammerman.choice.Choice;
import hammerman.choice.Selection;
import hammerman.finding.Station;
import hammerman.forecast.Forecast;
import hammerman.forecast.Headline;
import hammerman.forecast.Workings;
import hammerman.guard.Guard;
import hammerman.guard.Parts;
import java.util.ArrayList;
import java.util.EnumMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import javafx.scene.control.Button;
import javafx.scene.control.CheckBox;
import javafx.scene.control.Label;
import javafx.scene.control.ScrollPane;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.VBox;

/** The chain of ratings, and the suggestion of a consistent set with its reasons. */
final class ChainView extends VBox {
  private final Session session;
  private final Parts parts;
  private final ChainPicture chain = new ChainPicture();
  private final Map<Headline, FigureView> figures = new EnumMap<>(Headline.class);
  private final Map<Guard.Part, CheckBox> locks = new EnumMap<>(Guard.Part.class);
  private final VBox reasons = new VBox(4);

  ChainView(Bench bench, Parts parts) {
    super(6);
    session = bench.session();
    this.parts = parts;
    figure(bench, "Fuse window", Headline.FUSE_WINDOW);
    figure(bench, "Wire carries", Headline.WIRE_AMPACITY);
    figure(bench, "Shorted, it gives", Headline.SHORT_CIRCUIT);
    figure(bench, "Charges to", Headline.CHARGE_CEILING);
    figure(bench, "Heaviest ten minutes", Headline.CONTINUOUS_CURRENT);
    HBox row = new HBox(14);
    row.getChildren().addAll(figures.values());
    chain.setPrefHeight(320);
    VBox.setVgrow(chain, Priority.ALWAYS);
    Button suggest = new Button("Suggest a set for this duty");
    suggest.setId("suggest");
    suggest.getStyleClass().add("act");
    suggest.setOnAction(e -> suggest());
    HBox keep = new HBox(12, suggest, words("Keep as they are:"));
    keep.setStyle("-fx-alignment: center-left;");
    for (Guard.Part part : Guard.Part.values()) {
      CheckBox lock = new CheckBox(part.label());
      lock.setId("lock-" + part.name().toLowerCase(Locale.ROOT));
      lock.setOnAction(
          e ->
              session.edit(
                  "Lock " + part.label(),
                  Station.GUARD,
                  p -> GuardForms.guard(p, g -> g.withLocked(part, lock.isSelected()))));
      locks.put(part, lock);
      keep.getChildren().add(lock);
    }
    reasons.setId("reasons");
    ScrollPane scroll = new ScrollPane(reasons);
    scroll.setFitToWidth(true);
    scroll.setHbarPolicy(ScrollPane.ScrollBarPolicy.NEVER);
    scroll.getStyleClass().add("page");
    scroll.setFocusTraversable(false);
    scroll.setMinHeight(150);
    scroll.setMaxHeight(150);
    Label caution =
        new Label(
            "A shorted pack welds tools and burns hands: rings off, insulated tools, fuse fitted"
                + " last. Above 60 V DC a touch can kill; local codes and a licensed person"
                + " first.");
    caution.getStyleClass().add("caution");
    caution.setMinHeight(Label.USE_PREF_SIZE);
    caution.setMaxWidth(Double.MAX_VALUE);
    getChildren().addAll(chain, row, Page.heading("A set that lines up"), keep, scroll, caution);
  }

  private static Label words(String text) {
    Label label = new Label(text);
    label.getStyleClass().add("fact-name");
    return label;
  }

  private void figure(Bench bench, String name, Headline headline) {
    figures.put(headline, bench.figure(name, headline));
  }

  void show(Forecast f) {
    chain.show(f.chain());
    figures.forEach((headline, view) -> view.show(Workings.figure(headline, f)));
    locks.forEach((part, lock) -> lock.setSelected(f.design().guard().locked().contains(part)));
    Selection selection = Selection.of(f.design(), parts);
    boolean taken = selection.guard().equals(f.design().guard());
    List<Label> lines = new ArrayList<>();
    for (Choice c : selection.choices()) {
      Label line =
          new Label(
              c.part().label()
                  + (taken ? ": " : " would be: ")
                  + c.chosen()
                  + ". "
                  + c.why()
                  + (c.smaller().isEmpty() ? "" : " Smaller: " + c.smaller())
                  + (c.larger().isEmpty() ? "" : " Larger: " + c.larger()));
      line.getStyleClass().add("reason");
      line.setWrapText(true);
      line.setMinHeight(Label.USE_PREF_SIZE);
      lines.add(line);
    }
    reasons.getChildren().setAll(lines);
  }

  private void suggest() {
    session.edit(
        "Suggested parts",
        Station.GUARD,
        p -> p.withDesign(p.design().withGuard(Selection.of(p.design(), parts).guard())));
  }
}
