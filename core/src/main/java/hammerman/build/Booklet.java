package hammerman.build;

import hammerman.drawing.Drawing;
import hammerman.drawing.Paper;
import hammerman.drawing.Pdf;
import hammerman.unit.Currency;
import hammerman.unit.Figures;
import hammerman.unit.Unit;
import java.util.ArrayList;
import java.util.List;
import java.util.Set;
import org.jspecify.annotations.Nullable;

/** The procedure and the parts on paper: A4, with a box to tick and a line for each reading. */
public final class Booklet {
  private static final double WIDE = 190;
  private static final double TALL = 250;
  private static final double SIZE = 3.4;
  private static final double LINE = 5;
  private static final int LETTERS = 96;

  private final String title;
  private final List<Drawing> sheets = new ArrayList<>();
  private Drawing sheet = new Drawing(WIDE, TALL, "");
  private double y = TALL;

  private Booklet(String title) {
    this.title = title;
  }

  /** Returns the procedure as PDF; what is done already has its reading. */
  public static byte[] pdf(String name, Progress progress, List<Setting> settings) {
    Booklet b = new Booklet("Build of " + name);
    Stage stage = null;
    int number = 0;
    for (Step s : progress.procedure().steps()) {
      if (s.stage() != stage) {
        stage = s.stage();
        b.heading(stage.label());
      }
      b.step(++number, s, progress.marks().get(s.id()));
    }
    b.heading("Settings");
    for (Setting s : settings) {
      b.room(1);
      b.words(4, SIZE, "%s: %s: %s".formatted(s.device(), s.name(), s.value()));
    }
    return Pdf.of(b.sheets, Paper.A4);
  }

  /**
   * Returns the parts as PDF.
   *
   * @param here keys of the parts that are there
   * @param prices what they are in
   */
  public static byte[] parts(String name, PartsList parts, Set<String> here, Currency prices) {
    Booklet b = new Booklet("Parts for " + name);
    PartItem.Kind kind = null;
    for (PartItem p : parts.items()) {
      if (p.kind() != kind) {
        kind = p.kind();
        b.heading(kind.label());
      }
      List<String> lines =
          wrapped(
              "%s  %s%s"
                  .formatted(
                      p.toBuyWords(),
                      p.name(),
                      p.price() == null ? "" : ", " + prices.money(p.cost(), 2)));
      b.room(lines.size());
      b.tick(here.contains(p.key()));
      lines.forEach(l -> b.words(10, SIZE, l));
    }
    b.heading(
        "In all %s; %s built in"
            .formatted(prices.money(parts.price(), 2), Figures.of(parts.mass(), Unit.KILOGRAM)));
    return Pdf.of(b.sheets, Paper.A4);
  }

  /** Begins a new sheet if so many lines have no room on this one. */
  private void room(int lines) {
    if (y + lines * LINE > TALL - 6) {
      sheet = new Drawing(WIDE, TALL, title);
      sheets.add(sheet);
      sheet.words(0, 6, 4, title);
      sheet.words(WIDE - 22, 6, 3, "sheet " + sheets.size());
      sheet.line(0.2, false, 0, 9, WIDE, 9);
      y = 14;
    }
  }

  private void heading(String text) {
    room(3);
    y += 3;
    words(0, 4.6, text);
    y += 1;
  }

  private void words(double x, double size, String text) {
    sheet.words(x, y, size, text);
    y += LINE;
  }

  private void tick(boolean done) {
    sheet.box(0.25, 1, y - 3.2, 3.6, 3.6);
    if (done) {
      sheet.line(0.5, false, 1.4, y - 1.6, 2.4, y - 0.4, 4.2, y - 2.8);
    }
  }

  private void step(int number, Step s, Progress.@Nullable Mark mark) {
    List<String> lines = new ArrayList<>(wrapped(number + "  " + s.text()));
    s.expects()
        .ifPresent(e -> lines.addAll(wrapped("Expect " + e.words() + ".  Read: " + read(e, mark))));
    s.safety().cautions().forEach(c -> lines.addAll(wrapped("Mind: " + c)));
    room(lines.size());
    tick(mark != null && mark.state().passes());
    lines.forEach(l -> words(10, SIZE, l));
    y += 1.5;
  }

  private static String read(Expected e, Progress.@Nullable Mark mark) {
    var fact = mark == null ? null : mark.fact();
    Double v = fact == null ? null : fact.value().reading();
    return v == null ? "_____________" : Figures.of(v, e.unit(), e.decimals());
  }

  private static List<String> wrapped(String text) {
    List<String> lines = new ArrayList<>();
    StringBuilder line = new StringBuilder();
    for (String word : text.split(" ", -1)) {
      if (line.length() + word.length() > LETTERS) {
        lines.add(line.toString());
        line.setLength(0);
      }
      line.append(line.isEmpty() ? "" : " ").append(word);
    }
    lines.add(line.toString());
    return lines;
  }
}
