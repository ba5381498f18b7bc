package hammerman.app.station;

import hammerman.app.control.FigureView;
import hammerman.app.session.Session;
import hammerman.forecast.Headline;
import java.util.function.Consumer;

/**
 * What every station is given.
 *
 * @param session the project being worked on
 * @param showWorking shows how a figure came about
 */
public record Bench(Session session, Consumer<Headline> showWorking) {
  /** Returns a figure whose working can be shown. */
  public FigureView figure(String name, Headline headline) {
    return new FigureView(name, () -> showWorking.accept(headline));
  }
}
