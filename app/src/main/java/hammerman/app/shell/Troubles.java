package hammerman.app.shell;

import hammerman.app.session.Kept;
import hammerman.app.session.Session;
import java.util.Objects;
import org.jspecify.annotations.Nullable;

/** What is wrong with keeping and forecasting: said once, and taken away when it is over. */
final class Troubles {
  private final Session session;
  private final Notices notices;
  private @Nullable String kept;
  private @Nullable String forecast;
  private boolean warned;

  Troubles(Session session, Notices notices) {
    this.session = session;
    this.notices = notices;
    session.keeper().keptProperty().addListener((o, was, is) -> kept(is));
    session
        .forecastTroubleProperty()
        .addListener((o, was, is) -> forecast = said(forecast, is.isEmpty() ? null : is));
    kept(session.keeper().keptProperty().get());
  }

  /** Whether the window may close; if changes cannot be kept that is said once. */
  boolean mayClose() {
    Kept is = session.keeper().keptProperty().get();
    if (is.trouble() == null || !is.waiting() || warned) {
      return true;
    }
    warned = true;
    notices.trouble(
        is.trouble() + " Close again to leave without the changes, or keep it under another name.");
    return false;
  }

  private void kept(Kept is) {
    kept = said(kept, is.trouble());
  }

  private @Nullable String said(@Nullable String before, @Nullable String now) {
    if (!Objects.equals(before, now)) {
      if (before != null) {
        notices.over(before);
      }
      if (now != null) {
        notices.trouble(now);
      }
    }
    return now;
  }
}
