package hammerman.app.station.guard;

import hammerman.app.control.Facts;
import hammerman.app.control.SidewaysPane;
import hammerman.app.control.Words;
import hammerman.circuit.Circuit;
import hammerman.circuit.Link;
import hammerman.circuit.Part;
import hammerman.circuit.State;
import hammerman.circuit.Stress;
import hammerman.unit.Figures;
import hammerman.unit.Unit;
import java.util.ArrayList;
import java.util.List;
import javafx.scene.control.Label;
import javafx.scene.layout.VBox;

/** A part of the circuit opened: its rows of the stress table, worst first, and who protects it. */
final class PartPanel extends VBox {
  private static final int MOST = 7;

  private final Label title = new Label();
  private final Words guarded = new Words("reason", "part-guarded");
  private final Facts rows =
      new Facts("fact-name", "fact-value", "fact-value", "fact-value", "fact-name");

  PartPanel() {
    super(4);
    title.getStyleClass().add("title-line");
    title.setId("part-title");
    rows.setId("part-rows");
    rows.setHgap(10);
    rows.setVgap(2);
    getChildren().addAll(title, guarded, new SidewaysPane(rows));
  }

  void show(Circuit circuit, Link link) {
    Part part = link.part();
    title.setText(part.label() + ": " + part.name());
    String who =
        link.protectors().isEmpty()
            ? switch (part.kind()) {
              case FUSE, CHARGE_FUSE, CELL_FUSES, BMS -> "It is what protects the others.";
              case MACHINE -> "It limits its own current.";
              default -> "Nobody protects it.";
            }
            : "Protected by "
                + String.join(", then ", link.protectors().stream().map(p -> p.name()).toList())
                + (link.protectors().size() == 1 ? "; nothing stands behind that." : ".");
    guarded.setText(who);
    List<List<String>> shown = new ArrayList<>();
    shown.add(List.of("", "worst", "limit", "margin", ""));
    circuit.stresses().stream()
        .filter(s -> belongs(s, part))
        .sorted((a, b) -> Double.compare(a.measure().margin(), b.measure().margin()))
        .limit(MOST)
        .forEach(s -> shown.add(row(s)));
    rows.show(shown);
  }

  /** Rows of a part; those of the lead before the fuse stand with the fuse. */
  private static boolean belongs(Stress s, Part part) {
    boolean same =
        s.part().kind() == part.kind()
            || (part.kind() == Part.Kind.FUSE && s.part().kind() == Part.Kind.LEAD);
    return same
        && s.part().second() == part.second()
        && s.unit() != Unit.ONE
        && (s.state() != State.TYPED || s.exceeded());
  }

  private static List<String> row(Stress s) {
    String[] figures = Figures.apart(s.value(), s.limit(), s.unit());
    String time = Double.isNaN(s.seconds()) ? "" : ", " + Figures.duration(s.seconds());
    String corner = s.corner().words().isEmpty() ? "" : ", " + s.corner().words();
    return List.of(
        s.kind().label(),
        figures[0],
        (s.atLeast() ? "≥ " : "≤ ") + figures[1],
        s.measure().marginWords(),
        s.state().words() + time + corner);
  }
}
