package hammerman.app.station.forecast;

import hammerman.app.control.Words;
import hammerman.app.job.Latest;
import hammerman.app.session.Session;
import hammerman.finding.Station;
import hammerman.forecast.Forecast;
import hammerman.forecast.Lifetime;
import hammerman.life.LifeForecast;
import hammerman.unit.Currency;
import hammerman.unit.Figures;
import hammerman.unit.Unit;
import java.util.OptionalDouble;
import javafx.scene.control.Hyperlink;
import javafx.scene.control.Label;
import javafx.scene.layout.GridPane;
import javafx.scene.layout.Priority;
import javafx.scene.layout.Region;
import javafx.scene.layout.VBox;
import org.jspecify.annotations.Nullable;

/** The whole life: how capacity and resistance go, what costs it most, and what the work costs. */
final class LifeView extends VBox {
  private final Session session;
  private final Latest working = Latest.ofDetails("lifetime");
  private final Words words = new Words("answer", "lifetime");
  private final GridPane habits = new GridPane(14, 4);
  private final WearSheet sheet = new WearSheet();
  private @Nullable Forecast of;

  LifeView(Session session) {
    super(8);
    this.session = session;
    habits.setId("habits");
    habits.setMinHeight(Region.USE_PREF_SIZE);
    sheet.setMinHeight(260);
    VBox.setVgrow(sheet, Priority.ALWAYS);
    getChildren().addAll(words, habits, sheet);
  }

  /** Works a forecast's life out, unless it is the one at hand. */
  void show(Forecast f) {
    if (of != null && of.design().equals(f.design())) {
      return;
    }
    of = f;
    sheet.show(f.life());
    words.setText("The life is worked out …");
    habits.getChildren().clear();
    working.submit(
        () -> Lifetime.of(f),
        life -> show(f, life),
        e -> words.setText("The life could not be worked out: " + Latest.inWords(e) + "."));
  }

  private void show(Forecast f, Lifetime life) {
    sheet.mark(life.fits());
    words.setText(fits(f.life(), life.fits()) + " " + price(f, life) + costs(life));
    habits.getChildren().clear();
    for (Lifetime.Habit h : life.habits()) {
      int row = habits.getRowCount();
      Label years = new Label(years(h.years()));
      years.getStyleClass().addAll("fact-value");
      Label what = new Label(h.what());
      what.getStyleClass().add("fact-name");
      Hyperlink change = new Hyperlink("Change it");
      change.setId("change-habit-" + row);
      change.setAccessibleText("Do otherwise: " + h.what());
      change.setOnAction(e -> session.editDesign("Habit", Station.FORECAST, d -> h.instead()));
      habits.addRow(row, years, what, change);
    }
  }

  private static String years(double years) {
    long months = Math.max(1, Math.round(years * 12));
    return years >= 1
        ? Figures.fixed(years, 1) + " years"
        : months + (months == 1 ? " month" : " months");
  }

  private static String fits(LifeForecast life, OptionalDouble fits) {
    if (fits.isEmpty()) {
      return "The duty is served on the coldest day for as long as the pack lives.";
    }
    double at = fits.getAsDouble();
    return at <= 0
        ? "The duty is not served on the coldest day even with new cells."
        : "On the coldest day the duty stops fitting after %s%s."
            .formatted(years(at), at < life.years() ? ", before the cells count as worn out" : "");
  }

  private static String price(Forecast f, Lifetime life) {
    if (f.life().years() >= LifeForecast.HORIZON || life.perEnergy() <= 0) {
      return "";
    }
    Currency prices = f.design().duty().bounds().prices();
    String way =
        life.perDistance().isPresent()
            ? ", %s per km"
                .formatted(
                    prices.of(
                        Figures.number(
                            life.perDistance().getAsDouble() * Unit.KILOMETRE.toCore(1))))
            : "";
    return "Its life has %s duties; the cells come to %s per kWh delivered%s."
        .formatted(
            Figures.number(life.duties()),
            prices.of(Figures.number(life.perEnergy() * Unit.KILOWATT_HOUR.toCore(1))),
            way);
  }

  private static String costs(Lifetime life) {
    return life.habits().isEmpty() ? "" : " What costs most of it:";
  }
}
