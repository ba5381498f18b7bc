package hammerman.app.station.guard;

import hammerman.app.control.Beside;
import hammerman.app.control.Facts;
import hammerman.app.control.FileAsk;
import hammerman.app.control.SidewaysPane;
import hammerman.app.session.Session;
import hammerman.app.station.Bench;
import hammerman.app.station.Page;
import hammerman.forecast.Forecast;
import hammerman.store.WholeFile;
import hammerman.unit.Figures;
import hammerman.unit.Unit;
import hammerman.wiring.Diagram;
import hammerman.wiring.WiringPlan;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.VBox;
import org.jspecify.annotations.Nullable;

/** The leads: lengths, cut list, what they lose, and the diagram. */
final class WiringView extends VBox {
  private static final FileAsk.Kind SVG = new FileAsk.Kind("SVG drawings", List.of("*.svg"));

  private final Session session;
  private final DiagramPicture diagram = new DiagramPicture();
  private final Facts cuts =
      new Facts("answer", "answer", "fact-value", "fact-value", "fact-value");
  private final Label totals = new Label();
  private final Label said = new Label();
  private @Nullable Diagram drawn;

  WiringView(Bench bench, GuardForms forms) {
    super(8);
    session = bench.session();
    totals.setId("wire-totals");
    totals.getStyleClass().add("answer");
    totals.setMinHeight(USE_PREF_SIZE);
    said.setId("wiring-said");
    said.getStyleClass().add("answer");
    Button export = new Button("Save the diagram as SVG");
    export.setId("export-diagram");
    export.getStyleClass().addAll("plain", "small");
    export.setOnAction(
        e ->
            bench
                .files()
                .save("Save the diagram", SVG, session.project().name() + " wiring.svg")
                .ifPresent(this::save));
    cuts.setHgap(14);
    VBox list = new VBox(6, Page.heading("Cut list, slack included"), cuts, totals);
    VBox leads = forms.leads();
    leads.setMinWidth(250);
    Beside upper = new Beside(leads, list);
    diagram.setPrefHeight(260);
    SidewaysPane seen = new SidewaysPane(diagram);
    VBox.setVgrow(seen, Priority.ALWAYS);
    HBox last = new HBox(12, export, said);
    last.setStyle("-fx-alignment: center-left;");
    getChildren().addAll(upper, seen, last);
  }

  void show(Forecast f) {
    WiringPlan plan = WiringPlan.of(f.chain());
    List<List<String>> rows = new ArrayList<>();
    for (WiringPlan.Run r : plan.runs()) {
      rows.add(
          List.of(
              poles((r.positive() ? "+ " : "− ") + r.from() + " → " + r.to()),
              r.wire().text(),
              Figures.of(r.length(), Unit.METRE, 2),
              Figures.of(r.drop(), Unit.MILLIVOLT, 0),
              Figures.heat(r.heat())));
    }
    cuts.show(rows);
    StringBuilder words = new StringBuilder("Buy: ");
    plan.totals()
        .forEach(
            (wire, metres) ->
                words
                    .append(Figures.of(metres, Unit.METRE, 2))
                    .append(" of ")
                    .append(wire)
                    .append("; "));
    words
        .append("the main circuit loses ")
        .append(Figures.of(plan.drop(), Unit.VOLT, 2))
        .append(". ");
    words.append(
        f.design().guard().wiring().connectorPairs() > 0
            ? "Connector halves: sockets on the pack's side, plugs on the machine's, plus to plus."
            : "");
    totals.setText(words.toString());
    drawn = Diagram.of(f.design(), plan);
    diagram.show(drawn);
  }

  /** The sign of a pole stays with what it is a pole of. */
  private static String poles(String text) {
    return text.replace(" +", "\u00a0+").replace(" −", "\u00a0−");
  }

  private void save(Path file) {
    Diagram d = drawn;
    if (d == null) {
      return;
    }
    try {
      WholeFile.write(
          file, d.svg(session.project().name() + ": wiring").getBytes(StandardCharsets.UTF_8));
      said.setText("Wrote " + file.getFileName() + ", at true scale for an A4 sheet.");
    } catch (IOException e) {
      said.setText("Not saved: " + e.getMessage() + ". Choose another folder.");
    }
  }
}
