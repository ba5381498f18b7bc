package hammerman.app.picture;

import java.util.LinkedHashMap;
import java.util.Map;
import javafx.scene.canvas.GraphicsContext;
import javafx.scene.image.Image;
import javafx.scene.image.PixelFormat;
import javafx.scene.image.WritableImage;
import javafx.scene.paint.Color;

/**
 * Circles with rims, of a few looks, drawn many times. Each look is worked out once, in four by
 * four places within a pixel, and copied from then on: without a graphics card a copy takes a
 * fraction of the time that a circle takes.
 */
public final class Discs {
  private static final int PHASES = 4;
  private static final int REMEMBERED = 100;

  /** Larger circles are few and are drawn one by one, px. */
  private static final double LARGEST = 24;

  /** Looks in use, the least lately used first. */
  private final Map<Look, Image> stamps =
      new LinkedHashMap<>(16, 0.75f, true) {
        @Override
        protected boolean removeEldestEntry(Map.Entry<Look, Image> eldest) {
          return size() > REMEMBERED;
        }
      };

  private record Look(Color fill, Color rim, double thickness, double radius) {
    /** Side of one copy, px. */
    int side() {
      return 2 * half() + 1;
    }

    int half() {
      return (int) Math.ceil(radius) + 1;
    }
  }

  /**
   * Draws circles of one look.
   *
   * @param radius to the outside of the rim, px; taken to an eighth of a pixel
   * @param xy x and y of the middle of each, px
   */
  void draw(
      GraphicsContext g, Color fill, Color rim, double thickness, double radius, double[] xy) {
    if (radius > LARGEST) {
      for (int k = 0; k + 1 < xy.length; k += 2) {
        oval(g, rim, radius, xy[k], xy[k + 1]);
        oval(g, fill, radius - thickness, xy[k], xy[k + 1]);
      }
      return;
    }
    Look look = new Look(fill, rim, thickness, Math.max(1, Math.rint(radius * 8) / 8));
    Image stamp = stamps.computeIfAbsent(look, Discs::stamp);
    int side = look.side();
    for (int k = 0; k + 1 < xy.length; k += 2) {
      double x = Math.floor(xy[k]);
      double y = Math.floor(xy[k + 1]);
      int px = (int) ((xy[k] - x) * PHASES);
      int py = (int) ((xy[k + 1] - y) * PHASES);
      g.drawImage(
          stamp, px * side, py * side, side, side, x - look.half(), y - look.half(), side, side);
    }
  }

  private static void oval(GraphicsContext g, Color colour, double r, double x, double y) {
    g.setFill(colour);
    g.fillOval(x - r, y - r, 2 * r, 2 * r);
  }

  private static Image stamp(Look look) {
    int side = look.side();
    int wide = PHASES * side;
    int[] pixels = new int[wide * wide];
    double inner = look.radius - look.thickness;
    for (int y = 0; y < wide; y++) {
      for (int x = 0; x < wide; x++) {
        // The middle of a pixel from that of its circle, in its place within a pixel.
        int acrossPhase = x / side;
        int downPhase = y / side;
        double dx = x % side - look.half() + 0.5 - (acrossPhase + 0.5) / PHASES;
        double dy = y % side - look.half() + 0.5 - (downPhase + 0.5) / PHASES;
        double far = Math.sqrt(dx * dx + dy * dy);
        double covered = Math.clamp(look.radius - far + 0.5, 0, 1);
        double filled = Math.clamp(inner - far + 0.5, 0, 1);
        pixels[y * wide + x] = mixed(look.fill, look.rim, filled, covered);
      }
    }
    WritableImage image = new WritableImage(wide, wide);
    image
        .getPixelWriter()
        .setPixels(0, 0, wide, wide, PixelFormat.getIntArgbPreInstance(), pixels, 0, wide);
    return image;
  }

  private static int mixed(Color fill, Color rim, double filled, double covered) {
    double rest = Math.max(0, covered - filled);
    return (int) Math.round(255 * (filled + rest)) << 24
        | (int) Math.round(255 * (fill.getRed() * filled + rim.getRed() * rest)) << 16
        | (int) Math.round(255 * (fill.getGreen() * filled + rim.getGreen() * rest)) << 8
        | (int) Math.round(255 * (fill.getBlue() * filled + rim.getBlue() * rest));
  }
}
