package hammerman.app.station.prove;

import hammerman.app.picture.Pen;
import hammerman.app.picture.Picture;
import hammerman.app.picture.Plot;
import hammerman.app.picture.Role;
import hammerman.app.picture.Scale;
import hammerman.prove.MeterLine;

/** The last two minutes of a meter: voltage above, current below. */
final class LivePicture extends Picture {
  private static final double SPAN = 120;

  /** Samples kept for drawing; more than two minutes of fifty a second. */
  private static final int ROOM = 6200;

  private static final double LEFT = 52;
  private static final double RIGHT = 14;
  private static final double FOOT = 28;
  private static final double HEAD = 24;

  private final double[] time = new double[ROOM];
  private final double[] volts = new double[ROOM];
  private final double[] amperes = new double[ROOM];
  private long count;

  LivePicture() {
    super("Voltage and current of the last two minutes");
    setId("live-picture");
  }

  void clear() {
    count = 0;
    redraw();
  }

  void add(double[] rows) {
    for (int k = 0; k < rows.length; k += MeterLine.FIGURES) {
      int at = (int) (count++ % ROOM);
      time[at] = rows[k];
      volts[at] = rows[k + 1];
      amperes[at] = rows[k + 2];
    }
    redraw();
  }

  @Override
  protected void paint(Pen pen, double width, double height) {
    int n = (int) Math.min(count, ROOM);
    if (n < 2) {
      pen.words(Role.SOFT, Pen.TEXT, 8, 16, "Connect a meter to see the run as it happens.");
      return;
    }
    double last = time[(int) ((count - 1) % ROOM)];
    double from = Math.max(0, last - SPAN);
    Scale x = new Scale(from, Math.max(from + 10, last), LEFT, width - RIGHT);
    double middle = (height - FOOT) / 2;
    band(pen, x, volts, n, "Voltage, V", HEAD, middle - 8, Role.HOT);
    band(pen, x, amperes, n, "Current, A", middle + HEAD, height - FOOT - 2, Role.COOL);
    new Plot(pen, x, new Scale(0, 1, height - FOOT, 0)).horizontal("Time, s");
  }

  private void band(
      Pen pen, Scale x, double[] of, int n, String name, double top, double bottom, Role role) {
    double low = Double.POSITIVE_INFINITY;
    double high = Double.NEGATIVE_INFINITY;
    double[] xs = new double[n];
    double[] ys = new double[n];
    int used = 0;
    for (long k = count - n; k < count; k++) {
      int at = (int) (k % ROOM);
      if (time[at] >= x.low()) {
        low = Math.min(low, of[at]);
        high = Math.max(high, of[at]);
        xs[used] = x.at(time[at]);
        ys[used++] = of[at];
      }
    }
    if (used == 0 || bottom - top < 16) {
      return;
    }
    Scale y = Scale.around(low, high, 1, bottom, top);
    new Plot(pen, x, y).vertical(name);
    for (int k = 0; k < used; k++) {
      ys[k] = y.at(ys[k]);
    }
    pen.curve(role, 1.2, xs, ys, used);
  }
}
