package hammerman.drawing;

import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.util.List;
import org.apache.pdfbox.pdmodel.PDDocument;
import org.apache.pdfbox.pdmodel.PDDocumentInformation;
import org.apache.pdfbox.pdmodel.PDPage;
import org.apache.pdfbox.pdmodel.PDPageContentStream;
import org.apache.pdfbox.pdmodel.common.PDRectangle;
import org.apache.pdfbox.pdmodel.font.PDFont;
import org.apache.pdfbox.pdmodel.font.PDType1Font;
import org.apache.pdfbox.pdmodel.font.Standard14Fonts;

/**
 * Writes drawings as PDF at true scale. A drawing larger than the paper goes over several pages
 * that are cut at the corner marks and laid edge to edge; every page has a bar of 100 mm to measure
 * before anything is cut by it.
 */
public final class Pdf {
  /** Border that printers leave white, mm. */
  private static final double MARGIN = 10;

  /** Room for the bar and the page's name, mm. */
  private static final double FOOT = 12;

  private static final double POINTS = 72 / 25.4;
  private static final PDFont FONT = new PDType1Font(Standard14Fonts.FontName.HELVETICA);

  /** Circles as four Bézier arcs: the usual handle length over the radius. */
  private static final double ARC = 0.5522847498;

  private Pdf() {}

  /** Returns drawings as one document. */
  public static byte[] of(List<Drawing> drawings, Paper paper) {
    try (PDDocument document = new PDDocument();
        ByteArrayOutputStream out = new ByteArrayOutputStream()) {
      PDDocumentInformation about = document.getDocumentInformation();
      about.setTitle(drawings.isEmpty() ? "" : drawings.getFirst().title());
      for (Drawing d : drawings) {
        Tiling t = Tiling.of(d, paper);
        for (int row = 0; row < t.rows(); row++) {
          for (int column = 0; column < t.columns(); column++) {
            page(document, d, t, column, row);
          }
        }
      }
      document.save(out);
      return out.toByteArray();
    } catch (IOException e) {
      throw new IllegalStateException("writing to memory failed", e);
    }
  }

  /** How a drawing is laid over pages; lengths in mm. */
  private record Tiling(double pageWidth, double pageHeight, int columns, int rows) {
    static Tiling of(Drawing d, Paper paper) {
      Tiling upright = lying(d, paper.width(), paper.height());
      Tiling across = lying(d, paper.height(), paper.width());
      return across.columns * across.rows < upright.columns * upright.rows ? across : upright;
    }

    private static Tiling lying(Drawing d, double width, double height) {
      int columns = (int) Math.ceil(d.width() / (width - 2 * MARGIN) - 1e-9);
      int rows = (int) Math.ceil(d.height() / (height - 2 * MARGIN - FOOT) - 1e-9);
      return new Tiling(width, height, Math.max(1, columns), Math.max(1, rows));
    }

    double tileWidth() {
      return pageWidth - 2 * MARGIN;
    }

    double tileHeight() {
      return pageHeight - 2 * MARGIN - FOOT;
    }
  }

  private static void page(PDDocument document, Drawing d, Tiling t, int column, int row)
      throws IOException {
    PDPage page =
        new PDPage(
            new PDRectangle((float) (t.pageWidth() * POINTS), (float) (t.pageHeight() * POINTS)));
    document.addPage(page);
    try (PDPageContentStream out = new PDPageContentStream(document, page)) {
      out.saveGraphicsState();
      Ink ink =
          new Ink(
              out, MARGIN - column * t.tileWidth(), t.pageHeight() - MARGIN + row * t.tileHeight());
      out.addRect(
          (float) (MARGIN * POINTS),
          (float) ((MARGIN + FOOT) * POINTS),
          (float) (t.tileWidth() * POINTS),
          (float) (t.tileHeight() * POINTS));
      out.clip();
      for (Drawing.Mark mark : d.marks()) {
        ink.draw(mark);
      }
      out.restoreGraphicsState();
      foot(new Ink(out, 0, t.pageHeight()), d, t, column, row);
    }
  }

  private static void foot(Ink ink, Drawing d, Tiling t, int column, int row) throws IOException {
    double right = t.pageWidth() - MARGIN;
    double low = MARGIN + t.tileHeight();
    for (double x : new double[] {MARGIN, right}) {
      for (double y : new double[] {MARGIN, low}) {
        ink.line(0.15, false, x - 5, y, x + 5, y);
        ink.line(0.15, false, x, y - 5, x, y + 5);
      }
    }
    double bar = t.pageHeight() - MARGIN - 1;
    ink.line(0.4, false, MARGIN, bar, MARGIN + 100, bar);
    ink.line(0.4, false, MARGIN, bar - 2, MARGIN, bar + 2);
    ink.line(0.4, false, MARGIN + 100, bar - 2, MARGIN + 100, bar + 2);
    ink.words(false, MARGIN, bar - 3, 3, "100 mm: print at 100 %, measure this bar first");
    String place =
        t.columns() * t.rows() == 1
            ? ""
            : " · column %d of %d, row %d of %d"
                .formatted(column + 1, t.columns(), row + 1, t.rows());
    ink.words(false, MARGIN + 104, bar, 3, d.title() + place);
  }

  /** A page's content, drawn on in mm with y downwards. */
  private record Ink(PDPageContentStream out, double left, double top) {
    private float x(double mm) {
      return (float) ((left + mm) * POINTS);
    }

    private float y(double mm) {
      return (float) ((top - mm) * POINTS);
    }

    void draw(Drawing.Mark mark) throws IOException {
      switch (mark) {
        case Drawing.Mark.Line l -> line(l.thickness(), l.dashed(), l.xy());
        case Drawing.Mark.Box b ->
            line(
                b.thickness(),
                false,
                b.x(),
                b.y(),
                b.x() + b.width(),
                b.y(),
                b.x() + b.width(),
                b.y() + b.height(),
                b.x(),
                b.y() + b.height(),
                b.x(),
                b.y());
        case Drawing.Mark.Circle c -> circle(c);
        case Drawing.Mark.Words w -> words(w.centred(), w.x(), w.y(), w.size(), w.words());
      }
    }

    void line(double thickness, boolean dashed, double... xy) throws IOException {
      out.setLineWidth((float) (thickness * POINTS));
      out.setLineDashPattern(dashed ? new float[] {8, 3} : new float[0], 0);
      out.moveTo(x(xy[0]), y(xy[1]));
      for (int k = 2; k + 1 < xy.length; k += 2) {
        out.lineTo(x(xy[k]), y(xy[k + 1]));
      }
      out.stroke();
    }

    private void circle(Drawing.Mark.Circle c) throws IOException {
      double h = ARC * c.radius();
      double r = c.radius();
      out.setLineWidth((float) (c.thickness() * POINTS));
      out.setLineDashPattern(new float[0], 0);
      out.moveTo(x(c.x() + r), y(c.y()));
      curve(c.x() + r, c.y() + h, c.x() + h, c.y() + r, c.x(), c.y() + r);
      curve(c.x() - h, c.y() + r, c.x() - r, c.y() + h, c.x() - r, c.y());
      curve(c.x() - r, c.y() - h, c.x() - h, c.y() - r, c.x(), c.y() - r);
      curve(c.x() + h, c.y() - r, c.x() + r, c.y() - h, c.x() + r, c.y());
      out.closeAndStroke();
    }

    private void curve(double x1, double y1, double x2, double y2, double x3, double y3)
        throws IOException {
      out.curveTo(x(x1), y(y1), x(x2), y(y2), x(x3), y(y3));
    }

    void words(boolean centred, double x, double y, double size, String words) throws IOException {
      String text = plain(words);
      double width = FONT.getStringWidth(text) / 1000 * size;
      out.beginText();
      out.setFont(FONT, (float) (size * POINTS));
      out.newLineAtOffset(x(centred ? x - width / 2 : x), y(y));
      out.showText(text);
      out.endText();
    }

    /** The built-in font has Latin letters only. */
    private static String plain(String words) {
      StringBuilder text = new StringBuilder();
      for (int c :
          words
              .replace('−', '–')
              .replace('⌀', 'Ø')
              .replace("Ω", "ohm")
              .replace("τ", "tau")
              .codePoints()
              .toArray()) {
        String one = Character.toString(c);
        boolean known = c >= ' ' && (c < 127 || "–Ø·×²³°µ“”’äöüÄÖÜßéèàçñ".contains(one));
        text.append(known ? one : "?");
      }
      return text.toString();
    }
  }
}
