package hammerman.template;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import hammerman.Samples;
import hammerman.chain.Layout;
import hammerman.design.Design;
import hammerman.drawing.Drawing;
import hammerman.drawing.Paper;
import hammerman.drawing.Pdf;
import hammerman.drawing.Svg;
import hammerman.forecast.Forecast;
import java.awt.geom.Point2D;
import java.io.IOException;
import java.util.ArrayList;
import java.util.List;
import org.apache.pdfbox.Loader;
import org.apache.pdfbox.contentstream.PDFGraphicsStreamEngine;
import org.apache.pdfbox.cos.COSName;
import org.apache.pdfbox.pdmodel.PDDocument;
import org.apache.pdfbox.pdmodel.PDPage;
import org.apache.pdfbox.pdmodel.graphics.image.PDImage;
import org.apache.pdfbox.text.PDFTextStripper;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.EnumSource;

class TemplateTest {
  private static final Work WORK = work(Samples.barrow());

  private static Work work(Design d) {
    return Work.of(
        "barrow", d.pack(), Forecast.of(d).layout().flatMap(Layout::solved).orElseThrow());
  }

  @ParameterizedTest
  @EnumSource(Paper.class)
  void theBarsOfThePrintAreAHundredMillimetres(Paper paper) throws IOException {
    List<Drawing> sheets = Template.all(WORK, Template.Kind.STRIPS);
    assertThat(sheets).hasSize(2);
    try (PDDocument document = Loader.loadPDF(Pdf.of(sheets, paper))) {
      // The box of 285 by 178 mm with its margins goes over two pages of paper, twice.
      assertThat(document.getNumberOfPages()).isEqualTo(4);
      for (PDPage page : document.getPages()) {
        List<Double> flat = new Lines(page).flat();
        assertThat(flat).anyMatch(l -> Math.abs(l - 100) < 0.01);
      }
      assertThat(new PDFTextStripper().getText(document))
          .contains("100 mm", "column 2 of 2", "lower face seen from below");
    }
  }

  /** Both pages together show the whole width: a long wall of 285 mm is drawn on each, clipped. */
  @Test
  void tilesAreTrueToScale() throws IOException {
    try (PDDocument document =
        Loader.loadPDF(Pdf.of(Template.all(WORK, Template.Kind.DRILL), Paper.A4))) {
      assertThat(new Lines(document.getPage(0)).flat()).anyMatch(l -> Math.abs(l - 285) < 0.05);
    }
  }

  @Test
  void aDrawingThatFitsIsOnePageAndTurnsIfThatHelps() throws IOException {
    Drawing wide = new Drawing(250, 100, "wide").line(0.2, true, 0, 0, 250, 0).box(0.2, 1, 1, 5, 5);
    try (PDDocument document = Loader.loadPDF(Pdf.of(List.of(wide), Paper.A4))) {
      assertThat(document.getNumberOfPages()).isEqualTo(1);
      assertThat(document.getPage(0).getMediaBox().getWidth() * 25.4 / 72)
          .isCloseTo(297.0, within(0.1));
    }
  }

  @Test
  void positionsAreThoseOfTheCells() {
    String svg = Svg.of(Template.all(WORK, Template.Kind.DRILL).getFirst());
    assertThat(svg.split("<circle", -1)).hasSize(WORK.placing().places().size() + 1);
    var p = WORK.placing().places().getFirst();
    // 12 mm of margin; the box is 178 mm high and y counts downwards.
    assertThat(svg)
        .contains(
            "cx=\"%s\" cy=\"%s\" r=\"10.5\""
                .formatted(mm(12 + p.x() * 1e3), mm(190 - p.y() * 1e3)));
  }

  private static String mm(double v) {
    return String.format(java.util.Locale.ROOT, "%.3f", v).replaceAll("\\.?0+$", "");
  }

  @Test
  void insulationHasAWindowForEachTerminalAndARingForEachPositiveEnd() {
    List<Drawing> faces = Template.all(WORK, Template.Kind.INSULATION);
    assertThat(Svg.of(faces.get(0)).split("<circle", -1)).hasSize(78 + 2 + 1);
    assertThat(Svg.of(faces.get(0))).contains("42 of these");
    assertThat(Svg.of(faces.get(1))).contains("36 of these");
  }

  @Test
  void theCutListAddsUp() {
    CutList list = CutList.of(WORK);
    assertThat(list.rows()).hasSize(1);
    CutList.Row row = list.rows().getFirst();
    double pieces =
        WORK.plates().stream().flatMap(p -> p.runs().stream()).mapToDouble(l -> l).sum();
    assertThat(row.total()).isCloseTo(pieces, within(1e-9));
    assertThat(row.pieces()).isSortedAccordingTo((a, b) -> Double.compare(b, a));
    assertThat(row.stock() * CutList.STOCK * (1 - row.waste()))
        .isCloseTo(row.total(), within(1e-9));
    assertThat(row.waste()).isBetween(0.0, 0.3);
    assertThat(row.mass()).isCloseTo(row.strip().mass(pieces), within(1e-12));
  }

  @Test
  void thereIsABalanceLeadForEveryPlateLongEnoughToReach() {
    List<BalanceLead> leads = BalanceLead.of(WORK);
    assertThat(leads).hasSize(14);
    for (BalanceLead l : leads) {
      assertThat(l.length())
          .isGreaterThan(WORK.placing().places().get(l.place()).to(WORK.exitAt(l.place())) + 0.05);
      assertThat(WORK.group(l.place())).isEqualTo(l.group());
    }
    assertThat(leads.get(1).top()).isTrue();
    assertThat(leads.get(0).top()).isFalse();
  }

  @Test
  void sizeAndMassAreThoseOfTheCellsWithTheirStrips() {
    Size size = Size.of(WORK);
    assertThat(size.cells()).isCloseTo(78 * 0.070, within(1e-9));
    assertThat(size.width()).isBetween(0.2, 0.285);
    assertThat(size.depth()).isBetween(0.14, 0.178);
    assertThat(size.height()).isCloseTo(0.070 + 2 * (0.15e-3 + 0.5e-3), within(1e-4));
    assertThat(size.strips()).isBetween(0.01, 0.2);
  }

  /** Level lines of a page, their lengths in mm. */
  private static final class Lines extends PDFGraphicsStreamEngine {
    private final List<Double> lengths = new ArrayList<>();
    private Point2D.Float at = new Point2D.Float();

    Lines(PDPage page) throws IOException {
      super(page);
      processPage(page);
    }

    List<Double> flat() {
      return lengths;
    }

    @Override
    public void moveTo(float x, float y) {
      at = new Point2D.Float(x, y);
    }

    @Override
    public void lineTo(float x, float y) {
      if (Math.abs(y - at.y) < 0.01) {
        lengths.add(Math.abs(x - at.x) * 25.4 / 72);
      }
      at = new Point2D.Float(x, y);
    }

    @Override
    public Point2D getCurrentPoint() {
      return at;
    }

    @Override
    public void curveTo(float x1, float y1, float x2, float y2, float x3, float y3) {
      at = new Point2D.Float(x3, y3);
    }

    @Override
    public void appendRectangle(Point2D a, Point2D b, Point2D c, Point2D d) {}

    @Override
    public void drawImage(PDImage image) {}

    @Override
    public void clip(int rule) {}

    @Override
    public void closePath() {}

    @Override
    public void endPath() {}

    @Override
    public void strokePath() {}

    @Override
    public void fillPath(int rule) {}

    @Override
    public void fillAndStrokePath(int rule) {}

    @Override
    public void shadingFill(COSName name) {}
  }
}
