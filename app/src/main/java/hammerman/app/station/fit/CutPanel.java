package hammerman.app.station.fit;

import hammerman.app.control.ActTable;
import hammerman.app.control.Facts;
import hammerman.app.control.FileAsk;
import hammerman.app.control.PlainButton;
import hammerman.app.control.Words;
import hammerman.app.station.Page;
import hammerman.drawing.Drawing;
import hammerman.drawing.Paper;
import hammerman.drawing.Pdf;
import hammerman.drawing.Svg;
import hammerman.pack.Pack;
import hammerman.store.WholeFile;
import hammerman.template.BalanceLead;
import hammerman.template.BuildLists;
import hammerman.template.CutList;
import hammerman.template.Size;
import hammerman.template.Template;
import hammerman.template.Work;
import hammerman.unit.Figures;
import hammerman.unit.Unit;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.function.Function;
import java.util.stream.Collectors;
import javafx.scene.layout.FlowPane;
import javafx.scene.layout.VBox;

/** What the layout is built by: sizes, strip to cut, balance leads, templates at true scale. */
final class CutPanel extends VBox {
  private static final FileAsk.Kind SVG = new FileAsk.Kind("SVG drawings", List.of("*.svg"));
  private static final FileAsk.Kind PDF = new FileAsk.Kind("PDF documents", List.of("*.pdf"));
  private static final FileAsk.Kind CSV = new FileAsk.Kind("Tables", List.of("*.csv"));

  private final FitState state;
  private final FileAsk files;
  private final Facts sizes = new Facts("fact-name", "fact-value");
  private final ActTable strips = new ActTable("cut-list");
  private final Words leads = new Words("fact-name", "fit-leads");
  private final Words said = new Words("answer", "cut-said");

  CutPanel(FitState state, FileAsk files) {
    super(8);
    this.state = state;
    this.files = files;
    sizes.setId("fit-sizes");
    FlowPane templates = new FlowPane(6, 6);
    for (Paper p : Paper.values()) {
      templates
          .getChildren()
          .add(
              new PlainButton(
                  "All as PDF, " + p.label(),
                  "save-pdf-" + p.name().toLowerCase(Locale.ROOT),
                  () -> save(PDF, " templates.pdf", w -> Pdf.of(all(w), p))));
    }
    for (Template.Kind kind : Template.Kind.values()) {
      templates
          .getChildren()
          .add(
              new PlainButton(
                  kind.label() + " as SVG",
                  "save-svg-" + kind.name().toLowerCase(Locale.ROOT),
                  () ->
                      save(
                          SVG,
                          " " + kind.label().toLowerCase(Locale.ROOT) + ".svg",
                          w -> Svg.of(face(w, kind)).getBytes(StandardCharsets.UTF_8))));
    }
    templates
        .getChildren()
        .add(
            new PlainButton(
                "Lists as CSV",
                "save-lists",
                () ->
                    save(
                        CSV,
                        " lists.csv",
                        w -> BuildLists.csv(w).getBytes(StandardCharsets.UTF_8))));
    getChildren()
        .addAll(
            sizes,
            Page.heading("Strip to cut, from lengths of 1 m"),
            strips,
            Page.heading("Balance leads"),
            leads,
            Page.heading("Templates at 1:1"),
            templates,
            said);
    state.follow(this::follow);
  }

  private Optional<Work> work() {
    return state
        .solved()
        .map(
            s -> {
              Pack pack = state.forecast().orElseThrow().design().pack();
              return Work.of(state.session().project().name(), pack, s);
            });
  }

  /** The layer that is shown; its upper face unless only the lower is. */
  private Drawing face(Work w, Template.Kind kind) {
    return Template.of(
        w,
        kind,
        w.solved().layout().arrangement().placing().sheets().stream()
            .filter(s -> s.box() == state.box() && s.layer() == state.layer())
            .findFirst()
            .orElseThrow(),
        state.face() != Face.LOWER);
  }

  private static List<Drawing> all(Work w) {
    List<Drawing> all = new ArrayList<>();
    for (Template.Kind kind : Template.Kind.values()) {
      all.addAll(Template.all(w, kind));
    }
    return all;
  }

  private void save(FileAsk.Kind kind, String ending, Function<Work, byte[]> write) {
    Work w = work().orElse(null);
    if (w == null) {
      said.setText("There is no layout to save yet.");
      return;
    }
    files.save("Save", kind, w.name() + ending).ifPresent(file -> write(file, write.apply(w)));
  }

  private void write(Path file, byte[] bytes) {
    try {
      WholeFile.write(file, bytes);
      said.setText("Wrote " + file.getFileName() + ". Print at 100 % and measure its bar first.");
    } catch (IOException e) {
      said.setText("Not saved: " + e.getMessage() + ". Choose another folder.");
    }
  }

  /** Shows the lists; only while this is looked at. */
  void follow() {
    Work w = getScene() == null ? null : work().orElse(null);
    if (w == null) {
      return;
    }
    Size size = Size.of(w);
    sizes.show(
        List.of(
            List.of(
                "Cells with strips",
                "%.0f × %.0f × %.0f mm"
                    .formatted(size.width() * 1e3, size.depth() * 1e3, size.height() * 1e3)),
            List.of(
                "Mass of cells, strips",
                Figures.of(size.cells(), Unit.KILOGRAM)
                    + ", "
                    + Figures.of(size.strips(), Unit.GRAM))));
    strips.show(
        List.of("", "Pieces", "Lengths", "Waste"),
        CutList.of(w).rows().stream()
            .map(
                r ->
                    ActTable.Row.of(
                        List.of(
                            r.strip().text(),
                            r.pieces().size()
                                + (r.strip().layers() > 1 ? " × " + r.strip().layers() : ""),
                            Integer.toString(r.stock()),
                            Figures.of(r.waste(), Unit.PERCENT, 0))))
            .toList());
    List<BalanceLead> all = BalanceLead.of(w);
    String lengths =
        all.stream()
            .map(l -> String.format(Locale.ROOT, "%.0f", l.length() * 1e3))
            .collect(Collectors.joining(", "));
    leads.setText(
        "%d leads, from the most negative on: %s mm. Number them as you cut. A swapped lead ruins a BMS: measure every one before it is plugged in."
            .formatted(all.size(), lengths));
  }
}
