package hammerman.app.station.prove;

import hammerman.app.picture.Pen;
import hammerman.app.picture.PictureOf;
import hammerman.app.picture.Plot;
import hammerman.app.picture.Role;
import hammerman.app.picture.Scale;
import hammerman.prove.Rota;

/** A day's work with batteries in turn: a bar for each shift, a line for each battery. */
final class RotaPicture extends PictureOf<Rota> {
  private static final double LEFT = 76;
  private static final double FOOT = 28;
  private static final double TALLEST = 34;

  RotaPicture() {
    super("Batteries in turn over the day");
    setId("rota-picture");
  }

  @Override
  protected void paint(Pen pen, double width, double height, Rota r) {
    Scale x = new Scale(0, r.wanted() / 3600, LEFT, width - 14);
    double row = Math.min(TALLEST, (height - FOOT - 4) / r.batteries());
    for (int b = 1; b <= r.batteries(); b++) {
      double y = 4 + (b - 1) * row;
      if (row >= 12 || b == 1) {
        pen.name(Role.SOFT, Pen.TEXT, 2, y + row / 2, "battery " + b);
      }
      pen.line(Role.FAINT, 1, LEFT, y + row / 2, width - 14, y + row / 2);
    }
    for (Rota.Shift s : r.shifts()) {
      double y = 4 + (s.battery() - 1) * row;
      double from = x.at(s.from() / 3600);
      double thick = Math.min(16, Math.max(2, row - 6));
      pen.fill(
          Role.HOT,
          from,
          y + (row - thick) / 2,
          Math.max(1, x.at(s.until() / 3600) - from - 1),
          thick);
    }
    double foot = 4 + row * r.batteries();
    new Plot(pen, x, new Scale(0, 1, foot, 0)).horizontal("Hours of the day");
  }
}
