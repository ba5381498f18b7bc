package hammerman.app.station.duty;

import hammerman.app.picture.Pen;
import hammerman.app.picture.Picture;
import hammerman.app.picture.Plot;
import hammerman.app.picture.Role;
import hammerman.app.picture.Scale;
import hammerman.duty.Load;
import hammerman.duty.Segment;
import hammerman.duty.Task;
import hammerman.unit.Figures;
import hammerman.unit.Unit;
import java.util.List;
import org.jspecify.annotations.Nullable;

/** One round of the task as power over time. */
final class DutyTrace extends Picture {
  private @Nullable Task task;

  DutyTrace() {
    super("Power over time in one round of the task");
  }

  void show(Task value) {
    task = value;
    redraw();
  }

  @Override
  protected void paint(Pen pen, double width, double height) {
    if (task == null) {
      return;
    }
    Load load = task.load();
    double most = 1;
    double least = 0;
    for (Load.Step s : load.steps()) {
      most = Math.max(most, flow(s));
      least = Math.min(least, flow(s));
    }
    double seconds = load.roundDuration();
    boolean hours = seconds > 5400;
    double unit = hours ? 3600 : 60;
    Scale x = new Scale(0, seconds / unit, 48, width - 14);
    Scale y = new Scale(least * 1.15, most * 1.18, height - 26, 26);
    Plot plot = new Plot(pen, x, y);
    boolean power = load.steps().getFirst().demand() instanceof Load.Power;
    plot.vertical(power ? "Power at the battery, W" : "Current out of the battery, A");
    bars(pen, load.steps(), x, y, unit);
    plot.horizontal(hours ? "Time, h" : "Time, min");
    pen.line(Role.INK, 1, x.from(), y.at(0), x.to(), y.at(0));
    names(pen, x, y, unit);
    double mean = load.steps().stream().mapToDouble(s -> flow(s) * s.duration()).sum() / seconds;
    plot.level(Role.SOFT, mean, "mean " + Figures.of(mean, power ? Unit.WATT : Unit.AMPERE), true);
  }

  private static void bars(Pen pen, List<Load.Step> steps, Scale x, Scale y, double unit) {
    double t = 0;
    for (Load.Step s : steps) {
      double left = x.at(t / unit);
      double right = x.at((t + s.duration()) / unit);
      double top = y.at(Math.max(0, flow(s)));
      double bottom = y.at(Math.min(0, flow(s)));
      Role wash = flow(s) < 0 ? Role.COOL_WASH : Role.HOT_WASH;
      Role edge = flow(s) < 0 ? Role.COOL : Role.HOT;
      pen.fill(wash, left, top, right - left, bottom - top);
      double level = flow(s) < 0 ? bottom : top;
      pen.line(edge, 2, left, level, right, level);
      t += s.duration();
    }
  }

  /** Writes the name of each segment that is wide enough beside its level. */
  private void names(Pen pen, Scale x, Scale y, double unit) {
    if (!(task instanceof Task.ByRound round)) {
      return;
    }
    double t = 0;
    for (Segment s : round.segments()) {
      double left = x.at(t / unit);
      double right = x.at((t + s.duration()) / unit);
      if (pen.width(Pen.TEXT, s.name()) < right - left - 4) {
        double watts = s.power(round.vehicle());
        double at = y.at(Math.max(0, watts)) - 9;
        pen.nameCentred(Role.INK, Pen.TEXT, 0.5 * (left + right), at, s.name());
      }
      t += s.duration();
    }
  }

  /** Power in W, or current in A where the load is one of current. */
  private static double flow(Load.Step s) {
    return switch (s.demand()) {
      case Load.Power p -> p.watts();
      case Load.Current c -> c.amperes();
    };
  }
}
