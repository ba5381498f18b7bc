package hammerman.app;

import hammerman.finding.Station;
import hammerman.fit.FitPlan;
import java.nio.file.Path;
import java.util.List;
import java.util.Objects;
import java.util.concurrent.TimeoutException;
import javafx.scene.Parent;
import javafx.scene.control.Labeled;
import javafx.stage.Stage;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.io.TempDir;
import org.testfx.api.FxToolkit;

/** A test that drives the real window, offscreen, with a folder of its own. */
abstract class AtTheDesk {
  @TempDir Path home;

  @SuppressWarnings("NullAway.Init") // opened before every test
  Desk desk;

  @BeforeEach
  void begin() throws TimeoutException {
    FxToolkit.registerPrimaryStage();
    FxToolkit.setupStage(this::start);
  }

  void start(Stage stage) {
    desk = Desk.open(stage, home);
  }

  @AfterEach
  void end() throws TimeoutException {
    desk.close();
    FxToolkit.cleanupStages();
  }

  /** The words of all labels in a part of the window. */
  List<String> texts(String selector) {
    return Desk.fx(
        () ->
            desk.find(selector, Parent.class).lookupAll(".label").stream()
                .map(n -> ((Labeled) n).getText())
                .toList());
  }

  /** The plan of the fit as it is now. */
  FitPlan plan() {
    return Objects.requireNonNull(desk.session.project().variant().fit());
  }

  /** The text beside a name in a table of facts. */
  String fact(String table, String name) {
    List<String> all = texts(table);
    int k = all.indexOf(name);
    if (k < 0) {
      throw new AssertionError(name + " is not among " + all);
    }
    return all.get(k + 1);
  }

  void open(Station station) {
    desk.example();
    desk.go(station);
  }
}
