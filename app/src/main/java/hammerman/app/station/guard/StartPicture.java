package hammerman.app.station.guard;

import hammerman.app.picture.Pen;
import hammerman.app.picture.Picture;
import hammerman.app.picture.Plot;
import hammerman.app.picture.Role;
import hammerman.app.picture.Scale;
import hammerman.simulation.StartRun;
import hammerman.unit.Figures;
import java.util.Arrays;
import org.jspecify.annotations.Nullable;

/** Battery current during a start: hard, with the shortest ramp, with a limit; and the trip. */
final class StartPicture extends Picture {
  private @Nullable StartRun hard;
  private @Nullable StartRun ramped;
  private @Nullable StartRun capped;
  private double trip;

  StartPicture() {
    super("Battery current during a start");
    setId("start-picture");
  }

  void show(StartRun hardRun, StartRun rampedRun, StartRun cappedRun, double tripCurrent) {
    hard = hardRun;
    ramped = rampedRun;
    capped = cappedRun;
    trip = tripCurrent;
    redraw();
  }

  @Override
  protected void paint(Pen pen, double width, double height) {
    if (hard == null || ramped == null || capped == null) {
      return;
    }
    double far = Math.max(0.2, Math.min(10, Math.max(ramped.endTime(), capped.endTime())));
    double high = Math.max(hard.peak(), trip) * 1.15;
    Scale x = new Scale(0, far, 48, width - 12);
    Scale y = new Scale(0, high, height - 26, 26);
    Plot plot = new Plot(pen, x, y).vertical("Battery current when full, A").horizontal("Time, s");
    plot.level(Role.AMBER, trip, "trips above " + Figures.compact(trip) + " A", true);
    draw(pen, plot, hard, Role.HOT, 2.4, far, "hard start", x, y);
    draw(pen, plot, ramped, Role.COOL, 1.6, far, "shortest ramp", x, y);
    draw(pen, plot, capped, Role.INK, 1, far, "limited", x, y);
  }

  private static void draw(
      Pen pen,
      Plot plot,
      StartRun run,
      Role role,
      double thickness,
      double far,
      String name,
      Scale x,
      Scale y) {
    int n = run.time().length;
    while (n > 1 && run.time()[n - 1] > far) {
      n--;
    }
    if (n < 2) {
      return;
    }
    plot.clearCurve(role, thickness, Arrays.copyOf(run.time(), n), Arrays.copyOf(run.current(), n));
    // On its falling side a curve has room above it.
    int at = n * 3 / 4;
    pen.tag(role, Pen.TEXT, x.at(run.time()[at]) + 6, y.at(run.current()[at]) - 8, name);
  }
}
