package hammerman.app.station.prove;

import hammerman.app.control.Facts;
import hammerman.app.control.PlainButton;
import hammerman.app.control.Views;
import hammerman.app.control.Words;
import hammerman.prove.MeterLine;
import hammerman.unit.Figures;
import hammerman.unit.Unit;
import java.util.List;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.layout.FlowPane;
import javafx.scene.layout.Priority;
import javafx.scene.layout.StackPane;
import javafx.scene.layout.VBox;

/** A run as it happens: the meter's figures and the last two minutes of them. */
final class LiveView extends StackPane {
  private final Facts facts = new Facts("fact-name", "live-figure");
  private final LivePicture picture = new LivePicture();
  private final Sums sums = new Sums();

  /** What came so far. */
  private static final class Sums {
    private long samples;
    private double time;
    private double volts;
    private double amperes;
    private double charge;
    private double energy;
    private double peak;
    private double lowest = Double.POSITIVE_INFINITY;
    private double hottest = Double.NEGATIVE_INFINITY;

    void clear() {
      samples = 0;
      time = 0;
      charge = 0;
      energy = 0;
      peak = 0;
      lowest = Double.POSITIVE_INFINITY;
      hottest = Double.NEGATIVE_INFINITY;
    }

    void add(double[] rows) {
      for (int k = 0; k < rows.length; k += MeterLine.FIGURES) {
        double dt = samples > 0 ? Math.max(0, rows[k] - time) : 0;
        time = rows[k];
        volts = rows[k + 1];
        amperes = rows[k + 2];
        charge += amperes * dt / 3600;
        energy += volts * amperes * dt;
        peak = Math.max(peak, amperes);
        lowest = Math.min(lowest, volts);
        hottest = Math.max(hottest, rows[k + 3]);
        samples++;
      }
    }
  }

  LiveView(ProveState state, Views views) {
    MeterDesk desk = new MeterDesk(state, this::rows);
    Label standing = new Label();
    standing.setId("meter-standing");
    standing.getStyleClass().add("answer");
    standing.setWrapText(true);
    standing.setMinHeight(USE_PREF_SIZE);
    standing.textProperty().bind(desk.standingProperty());
    Button end = new Button("End the run and keep it");
    end.setId("end-live");
    end.getStyleClass().add("act");
    end.disableProperty().bind(desk.runningProperty().not());
    end.setOnAction(e -> desk.end());
    FlowPane tools =
        new FlowPane(
            8,
            4,
            new PlainButton("Connect a meter", "connect-meter", () -> desk.connect(MeterDesk.PORT)),
            new PlainButton("Use the simulated one", "simulate-meter", desk::simulate),
            end,
            new PlainButton("See the runs", "see-runs", () -> views.show("runs")));
    desk.runningProperty()
        .addListener(
            (o, was, is) -> {
              if (is) {
                sums.clear();
                picture.clear();
              }
            });
    facts.setId("live-facts");
    Words caution =
        Words.caution(
            "Watch the way, not the screen. Stop at once if anything smells, smokes or gets too hot"
                + " to touch.");
    picture.setMinHeight(180);
    picture.setPrefHeight(320);
    VBox.setVgrow(picture, Priority.ALWAYS);
    getChildren().add(new VBox(8, tools, standing, facts, picture, caution));
    facts.show(List.of(List.of("Nothing comes in yet.", "")));
  }

  private void rows(double[] fresh) {
    sums.add(fresh);
    picture.add(fresh);
    facts.show(
        List.of(
            List.of("Since the start", Figures.duration(sums.time)),
            List.of(
                "Voltage",
                "%s, lowest %s"
                    .formatted(
                        Figures.of(sums.volts, Unit.VOLT, 1),
                        Figures.of(sums.lowest, Unit.VOLT, 1))),
            List.of(
                "Current",
                "%s, peak %s"
                    .formatted(
                        Figures.of(sums.amperes, Unit.AMPERE, 1),
                        Figures.of(sums.peak, Unit.AMPERE, 1))),
            List.of(
                "Taken",
                "%s, %s"
                    .formatted(
                        Figures.of(sums.charge, Unit.AMPERE_HOUR),
                        Figures.of(sums.energy, Unit.WATT_HOUR))),
            List.of("Hottest", Figures.of(Unit.CELSIUS.toCore(sums.hottest), Unit.CELSIUS, 1)),
            List.of("Samples", Figures.number((double) sums.samples))));
  }
}
