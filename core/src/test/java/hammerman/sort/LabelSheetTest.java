package hammerman.sort;

import static org.assertj.core.api.Assertions.assertThat;

import com.google.zxing.BinaryBitmap;
import com.google.zxing.RGBLuminanceSource;
import com.google.zxing.ReaderException;
import com.google.zxing.common.HybridBinarizer;
import com.google.zxing.qrcode.QRCodeReader;
import java.awt.image.BufferedImage;
import java.io.IOException;
import java.util.ArrayList;
import java.util.List;
import java.util.stream.IntStream;
import org.apache.pdfbox.Loader;
import org.apache.pdfbox.pdmodel.PDDocument;
import org.apache.pdfbox.rendering.PDFRenderer;
import org.junit.jupiter.api.Test;

/** The stickers as a scanner sees them: each cut out of the paper by itself. */
class LabelSheetTest {
  private static final int DPI = 150;
  private static final int ON_A_SHEET = 60;

  @Test
  void everyCodeReadsAsItsCellWithTheEdgesCutAway() throws IOException, ReaderException {
    List<List<MeasuredCell>> groups =
        IntStream.range(0, 7)
            .mapToObj(
                g ->
                    IntStream.range(0, 10)
                        .mapToObj(p -> MeasuredCell.of("Züge %d/%d".formatted(g, p), 2.5, 0.03))
                        .toList())
            .toList();
    List<String> read = new ArrayList<>();
    try (PDDocument sheets = Loader.loadPDF(LabelSheet.pdf(groups, "seventy cells"))) {
      assertThat(sheets.getNumberOfPages()).isEqualTo(2);
      for (int page = 0; page < 2; page++) {
        BufferedImage paper = new PDFRenderer(sheets).renderImageWithDPI(page, DPI);
        for (int k = 0; k < Math.min(ON_A_SHEET, 70 - page * ON_A_SHEET); k++) {
          read.add(scanned(paper, 10 + k % 5 * 38, 10 + k / 5 * 21));
        }
      }
    }
    assertThat(read)
        .isEqualTo(groups.stream().flatMap(List::stream).map(MeasuredCell::label).toList());
  }

  /** What stands on the sticker whose corner is there, mm. */
  private static String scanned(BufferedImage paper, double x, double y) throws ReaderException {
    double mm = DPI / 25.4;
    int wide = (int) (37 * mm);
    int tall = (int) (20 * mm);
    int[] dots =
        paper.getRGB((int) ((x + 0.5) * mm), (int) ((y + 0.5) * mm), wide, tall, null, 0, wide);
    return new QRCodeReader()
        .decode(new BinaryBitmap(new HybridBinarizer(new RGBLuminanceSource(wide, tall, dots))))
        .getText();
  }
}
