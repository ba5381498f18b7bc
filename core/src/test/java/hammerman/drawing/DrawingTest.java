package hammerman.drawing;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.io.IOException;
import java.util.List;
import org.apache.pdfbox.Loader;
import org.apache.pdfbox.pdmodel.PDDocument;
import org.apache.pdfbox.pdmodel.PDPage;
import org.apache.pdfbox.text.PDFTextStripper;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class DrawingTest {
  private static Drawing sheet(double width, double height) {
    return new Drawing(width, height, "Strips & links <upper>")
        .line(0.3, false, 10, 10, 110, 10)
        .line(0.2, true, 10, 20, 60, 20)
        .box(0.2, 5, 5, 40, 12)
        .circle(0.2, 50, 50, 10.5)
        .words(12, 12, 4, "A < B & C")
        .centred(50, 50, 4, "6");
  }

  @Test
  void svgIsAtTrueScaleAndSafelyWritten() {
    String svg = Svg.of(sheet(200, 150));
    assertThat(svg)
        .contains("width=\"200mm\"", "height=\"150mm\"", "viewBox=\"0 0 200 150\"")
        .contains("Strips &amp; links &lt;upper", "A &lt; B &amp; C")
        .contains("points=\"10,10 110,10\"", "r=\"10.5\"", "text-anchor=\"middle\"");
    assertThat(svg.split("stroke-dasharray=\"3 1\"", -1)).hasSize(2);
  }

  /** Pages needed by hand: the paper less 10 mm of margin a side and 12 mm of foot. */
  @ParameterizedTest
  @CsvSource({
    "180, 200, A4, 1",
    "260, 150, A4, 1",
    "300, 200, A4, 2",
    "500, 400, A4, 6",
    "180, 240, LETTER, 1",
    "190, 260, LETTER, 2"
  })
  void largeSheetsGoOverPages(double width, double height, Paper paper, int pages)
      throws IOException {
    try (PDDocument d = Loader.loadPDF(Pdf.of(List.of(sheet(width, height)), paper))) {
      assertThat(d.getNumberOfPages()).isEqualTo(pages);
      for (PDPage p : d.getPages()) {
        double w = p.getMediaBox().getWidth() * 25.4 / 72;
        double h = p.getMediaBox().getHeight() * 25.4 / 72;
        assertThat(Math.min(w, h)).isCloseTo(paper.width(), within(0.1));
        assertThat(Math.max(w, h)).isCloseTo(paper.height(), within(0.1));
      }
    }
  }

  @Test
  void everyPageSaysWhichItIsAndHasABarToMeasure() throws IOException {
    byte[] pdf = Pdf.of(List.of(sheet(500, 400), sheet(100, 100)), Paper.A4);
    try (PDDocument d = Loader.loadPDF(pdf)) {
      assertThat(d.getDocumentInformation().getTitle()).isEqualTo("Strips & links <upper>");
      for (int k = 1; k <= d.getNumberOfPages(); k++) {
        PDFTextStripper text = new PDFTextStripper();
        text.setStartPage(k);
        text.setEndPage(k);
        assertThat(text.getText(d)).contains("100 mm").contains("Strips & links");
      }
    }
  }

  @Test
  void wordsThatTheFontLacksDoNotStopThePrint() throws IOException {
    Drawing d = new Drawing(100, 80, "Ω and 漢").words(10, 10, 4, "0.15 × 8 mm, 20 °C, −5, Ω, 漢");
    try (PDDocument pdf = Loader.loadPDF(Pdf.of(List.of(d), Paper.A4))) {
      assertThat(new PDFTextStripper().getText(pdf)).contains("0.15 × 8 mm, 20 °C");
    }
  }

  @Test
  void aDrawingDoesNotChangeWithTheArrayItWasGiven() {
    double[] xy = {0, 0, 10, 10};
    Drawing d = new Drawing(20, 20, "t").line(0.1, false, xy);
    xy[2] = 99;
    assertThat(Svg.of(d)).contains("0,0 10,10");
  }
}
