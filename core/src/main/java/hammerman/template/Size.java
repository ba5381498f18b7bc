package hammerman.template;

import hammerman.fit.Point;
import hammerman.fit.Sheet;
import java.util.List;

/**
 * What the cells with their strips weigh and how much room they take, without the box.
 *
 * @param width m
 * @param depth m
 * @param height m
 * @param cells their mass, kg
 * @param strips mass of strips and links, kg
 */
public record Size(double width, double depth, double height, double cells, double strips) {
  /** Insulation on each face, m; typical. */
  private static final double INSULATION = 0.5e-3;

  /** Measures one work; several boxes add their heights and masses as if stacked. */
  public static Size of(Work work) {
    double width = 0;
    double depth = 0;
    double height = 0;
    double thickest = 0;
    for (var p : work.plates()) {
      thickest = Math.max(thickest, p.strip().thickness() * p.strip().layers() + p.strip().steel());
    }
    for (Sheet s : work.usedSheets()) {
      double[] box = {1e9, -1e9, 1e9, -1e9};
      for (int k = s.first(); k < s.end(); k++) {
        if (work.group(k) >= 0) {
          span(box, work.placing().outline(k));
        }
      }
      width = Math.max(width, box[1] - box[0]);
      depth = Math.max(depth, box[3] - box[2]);
      height += work.placing().footprint().height() + 2 * (thickest + INSULATION);
    }
    double strips = CutList.of(work).rows().stream().mapToDouble(CutList.Row::mass).sum();
    return new Size(width, depth, height, work.pack().cells() * work.pack().cell().mass(), strips);
  }

  private static void span(double[] box, List<Point> corners) {
    for (Point p : corners) {
      box[0] = Math.min(box[0], p.x());
      box[1] = Math.max(box[1], p.x());
      box[2] = Math.min(box[2], p.y());
      box[3] = Math.max(box[3], p.y());
    }
  }
}
