package hammerman.outline;

import java.io.IOException;
import java.io.StringReader;
import org.apache.batik.parser.DefaultTransformListHandler;
import org.apache.batik.parser.TransformListParser;
import org.locationtech.jts.geom.util.AffineTransformation;

/** The transform of an SVG element: of a list, the last is applied first. */
final class SvgTurn extends DefaultTransformListHandler {
  private final AffineTransformation all = new AffineTransformation();

  private SvgTurn() {}

  /** Reads a transform attribute; an empty one changes nothing. */
  static AffineTransformation read(String text) throws IOException {
    SvgTurn turn = new SvgTurn();
    if (!text.isBlank()) {
      TransformListParser parser = new TransformListParser();
      parser.setTransformListHandler(turn);
      parser.parse(new StringReader(text));
    }
    return turn.all;
  }

  @Override
  public void matrix(float a, float b, float c, float d, float e, float f) {
    all.composeBefore(new AffineTransformation(a, c, e, b, d, f));
  }

  @Override
  public void rotate(float degrees) {
    all.composeBefore(AffineTransformation.rotationInstance(Math.toRadians(degrees)));
  }

  @Override
  public void rotate(float degrees, float x, float y) {
    all.composeBefore(AffineTransformation.rotationInstance(Math.toRadians(degrees), x, y));
  }

  @Override
  public void translate(float x) {
    translate(x, 0);
  }

  @Override
  public void translate(float x, float y) {
    all.composeBefore(AffineTransformation.translationInstance(x, y));
  }

  @Override
  public void scale(float by) {
    scale(by, by);
  }

  @Override
  public void scale(float x, float y) {
    all.composeBefore(AffineTransformation.scaleInstance(x, y));
  }

  @Override
  public void skewX(float degrees) {
    all.composeBefore(AffineTransformation.shearInstance(Math.tan(Math.toRadians(degrees)), 0));
  }

  @Override
  public void skewY(float degrees) {
    all.composeBefore(AffineTransformation.shearInstance(0, Math.tan(Math.toRadians(degrees))));
  }
}
