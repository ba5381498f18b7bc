package hammerman.app.station.guard;

import hammerman.app.picture.Pen;
import hammerman.app.picture.PictureOf;
import hammerman.app.picture.Plot;
import hammerman.app.picture.Role;
import hammerman.app.picture.Scale;
import hammerman.simulation.Trace;
import hammerman.simulation.Trace.Channel;
import hammerman.simulation.TwinRun;

/** The currents of two packs through the duty. */
final class TwinPicture extends PictureOf<TwinRun> {
  TwinPicture() {
    super("Currents of both packs through the duty");
  }

  @Override
  protected void paint(Pen pen, double width, double height, TwinRun r) {
    Trace a = r.first().run().trace();
    Trace b = r.second().run().trace();
    int n = a.size();
    if (n < 2) {
      return;
    }
    double[] hours = new double[n];
    double[] first = new double[n];
    double[] second = new double[n];
    double low = 0;
    double high = 1;
    for (int k = 0; k < n; k++) {
      hours[k] = a.at(Channel.TIME, k) / 3600;
      first[k] = a.at(Channel.CURRENT, k);
      second[k] = b.at(Channel.CURRENT, k);
      low = Math.min(low, Math.min(first[k], second[k]));
      high = Math.max(high, Math.max(first[k], second[k]));
    }
    Scale x = new Scale(0, hours[n - 1], 48, width - 12);
    Scale y = new Scale(low * 1.1, high * 1.15, height - 26, 26);
    new Plot(pen, x, y)
        .vertical("Current out of each pack, A")
        .curve(Role.HOT, 1.8, hours, first)
        .curve(Role.COOL, 1.2, hours, second)
        .horizontal("Time, h");
    pen.line(Role.INK, 1, x.from(), y.at(0), x.to(), y.at(0));
    pen.line(Role.HOT, 1.8, x.to() - 190, 14, x.to() - 170, 14);
    pen.words(Role.HOT, Pen.TEXT, x.to() - 164, 14, "first");
    pen.line(Role.COOL, 1.2, x.to() - 110, 14, x.to() - 90, 14);
    pen.words(Role.COOL, Pen.TEXT, x.to() - 84, 14, "second");
  }
}
