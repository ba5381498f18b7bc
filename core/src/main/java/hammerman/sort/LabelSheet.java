package hammerman.sort;

import com.google.zxing.BarcodeFormat;
import com.google.zxing.EncodeHintType;
import com.google.zxing.WriterException;
import com.google.zxing.common.BitMatrix;
import com.google.zxing.qrcode.QRCodeWriter;
import hammerman.drawing.Drawing;
import hammerman.drawing.Paper;
import hammerman.drawing.Pdf;
import hammerman.unit.Figures;
import hammerman.unit.Unit;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;

/**
 * Stickers for cells, 38 x 21 mm, at true scale: the label in words and as a code to scan (QR, ISO
 * 18004), with the group and place where the cell goes and what it holds.
 */
public final class LabelSheet {
  private static final double WIDE = 38;
  private static final double TALL = 21;
  private static final int COLUMNS = 5;
  private static final int ROWS = 12;
  private static final double CODE = 14.5;

  /** Four squares of a code stay empty around it, as the standard asks: 2.8 mm. */
  private static final double QUIET = 2.8;

  private static final double STROKE = 0.1;

  private LabelSheet() {}

  /**
   * Returns the sheets as PDF on A4.
   *
   * @param groups from the negative end, cells in the order of their places
   * @param title of the document
   */
  public static byte[] pdf(List<List<MeasuredCell>> groups, String title) {
    List<Drawing> sheets = new ArrayList<>();
    int k = 0;
    Drawing sheet = null;
    for (int g = 0; g < groups.size(); g++) {
      for (int p = 0; p < groups.get(g).size(); p++) {
        int on = k++ % (COLUMNS * ROWS);
        if (sheet == null || on == 0) {
          sheet = new Drawing(COLUMNS * WIDE, ROWS * TALL, title);
          sheets.add(sheet);
        }
        int row = on / COLUMNS;
        label(
            sheet,
            on % COLUMNS * WIDE,
            row * TALL,
            groups.get(g).get(p),
            "group %d, place %d".formatted(g + 1, p + 1));
      }
    }
    return Pdf.of(sheets, Paper.A4);
  }

  private static void label(Drawing sheet, double x, double y, MeasuredCell cell, String where) {
    // Inside the edge, where half of a line would be cut off.
    sheet.box(STROKE, x + STROKE / 2, y + STROKE / 2, WIDE - STROKE, TALL - STROKE);
    code(sheet, x + QUIET, y + (TALL - CODE) / 2, cell.label());
    double words = x + QUIET + CODE + QUIET;
    sheet.words(words, y + 7, 3.6, shortened(cell.label()));
    sheet.words(words, y + 12, 2, where);
    sheet.words(words, y + 16, 2, Figures.of(cell.capacity(), Unit.MILLIAMPERE_HOUR, 0));
  }

  /** Long labels are read off the code. */
  private static String shortened(String label) {
    return label.length() <= 8 ? label : label.substring(0, 7) + ".";
  }

  /** Dark squares as thick strokes, run by run. */
  private static void code(Drawing sheet, double x, double y, String text) {
    BitMatrix dark;
    try {
      dark =
          new QRCodeWriter()
              .encode(
                  text,
                  BarcodeFormat.QR_CODE,
                  0,
                  0,
                  Map.of(EncodeHintType.MARGIN, 0, EncodeHintType.CHARACTER_SET, "UTF-8"));
    } catch (WriterException e) {
      // Only a label of thousands of letters has no code; its words stand beside it.
      return;
    }
    double size = CODE / dark.getWidth();
    for (int row = 0; row < dark.getHeight(); row++) {
      int from = -1;
      for (int column = 0; column <= dark.getWidth(); column++) {
        boolean on = column < dark.getWidth() && dark.get(column, row);
        if (on && from < 0) {
          from = column;
        } else if (!on && from >= 0) {
          double middle = y + (row + 0.5) * size;
          sheet.line(size, false, x + from * size, middle, x + column * size, middle);
          from = -1;
        }
      }
    }
  }
}
