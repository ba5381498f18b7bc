package hammerman.app.station.forecast;

import hammerman.app.job.Latest;
import hammerman.forecast.Ensemble;
import hammerman.forecast.Forecast;
import hammerman.forecast.Spread;
import hammerman.forecast.Spread.Band;
import hammerman.forecast.Spread.Cause;
import hammerman.life.LifeForecast;
import hammerman.unit.Figures;
import hammerman.unit.Unit;
import java.util.ArrayList;
import java.util.List;
import javafx.scene.control.Label;
import javafx.scene.layout.Region;
import javafx.util.Duration;
import org.jspecify.annotations.Nullable;

/**
 * What nine of ten packs come to, in a sentence that gets surer as more are drawn. Drawing begins
 * when nothing is edited, and is given up when something is.
 */
final class SpreadLine extends Label {
  private static final Duration QUIET = Duration.millis(600);

  /** A cause below this share is not worth a word. */
  private static final double SMALL = 0.02;

  private final Latest drawing = new Latest("ensemble");
  private @Nullable Forecast of;
  private Ensemble drawn = Ensemble.NONE;

  SpreadLine() {
    setId("spread");
    getStyleClass().add("answer");
    setMinHeight(Region.USE_PREF_SIZE);
  }

  /** Begins anew for a forecast, or goes on with the one at hand. */
  void show(Forecast f) {
    if (of != null && of.design().equals(f.design())) {
      if (!drawing.busyProperty().get()) {
        more(f, Ensemble.enough(f));
      }
      return;
    }
    of = f;
    drawn = Ensemble.NONE;
    int enough = Ensemble.enough(f);
    if (enough == 0) {
      drawing.cancel();
      setText("It goes on for too long to draw packs and run each, cell by cell.");
      return;
    }
    setText("Packs are drawn to see how far this may vary …");
    drawing.whenQuiet(QUIET, () -> more(f, enough));
  }

  /** Stops drawing; what was drawn is kept. */
  void leave() {
    drawing.cancel();
  }

  private void more(Forecast f, int enough) {
    Ensemble before = drawn;
    int missing = enough - before.members().size();
    if (missing <= 0) {
      return;
    }
    drawing.submit(
        () -> before.grown(f, Math.min(Ensemble.FIRST, missing)),
        now -> {
          drawn = now;
          setText(Figures.unbroken(sentence(f, Spread.of(now))));
          more(f, enough);
        },
        e -> setText("How far this may vary could not be worked out: " + Latest.inWords(e) + "."));
  }

  private static String sentence(Forecast f, Spread s) {
    List<String> parts = new ArrayList<>();
    parts.add("end after " + times(s.time()));
    if (f.range() > 0) {
      parts.add("go " + band(s.distance(), Unit.KILOMETRE, 1));
    }
    parts.add("sag to " + band(s.sag(), Unit.VOLT, 1) + " at 20 % charge");
    parts.add("reach " + band(s.hottest(), Unit.CELSIUS, 0));
    if (f.life().yearsLow() < LifeForecast.HORIZON) {
      parts.add("last %s years".formatted(years(s.years())));
    }
    return "Of %d packs drawn, nine in ten %s. %s"
        .formatted(s.members(), String.join(", ", parts), decides(s));
  }

  private static String decides(Spread s) {
    List<String> causes =
        s.causes().stream()
            .filter(c -> c.share() >= SMALL)
            .limit(3)
            .map(SpreadLine::share)
            .toList();
    return causes.isEmpty() ? "" : "How long is decided by " + String.join(", ", causes) + ".";
  }

  private static String share(Cause c) {
    return c.what().words() + " (" + Figures.of(Math.min(1, c.share()), Unit.PERCENT, 0) + ")";
  }

  private static String times(Band b) {
    String low = Figures.duration(b.low());
    String high = Figures.duration(b.high());
    return low.equals(high) ? high : low + " to " + high;
  }

  private static String years(Band b) {
    int digits = b.high() < 10 ? 1 : 0;
    return Figures.fixed(b.low(), digits) + " to " + Figures.fixed(b.high(), digits);
  }

  private static String band(Band b, Unit unit, int digits) {
    String low = Figures.of(b.low(), unit, digits);
    String high = Figures.of(b.high(), unit, digits);
    // A band narrower than its digits is one figure.
    return low.equals(high) ? high : Figures.fixed(unit.fromCore(b.low()), digits) + " to " + high;
  }
}
