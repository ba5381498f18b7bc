package hammerman.app.station.guard;

import hammerman.app.picture.Pen;
import hammerman.app.picture.Picture;
import hammerman.app.picture.Role;
import hammerman.app.picture.Scale;
import hammerman.chain.Demand;
import hammerman.chain.FuseWindow;
import hammerman.circuit.Circuit;
import hammerman.circuit.Link;
import hammerman.circuit.Part;
import hammerman.circuit.Stress;
import hammerman.unit.Figures;
import hammerman.unit.Unit;
import java.util.List;
import java.util.function.Consumer;
import javafx.scene.input.KeyCode;
import javafx.scene.input.KeyEvent;
import org.jspecify.annotations.Nullable;

/**
 * The circuit on one ampere axis: a row for each part that carries current, first the main circuit,
 * then the charge side. The solid bar is what it carries for long, the hatched one what it stands
 * for the length of the hardest moment; the two lines are what the duty asks of it. A press, or the
 * arrows, choose a part.
 */
final class ChainPicture extends Picture {
  private static final double LEFT = 190;
  private static final double RIGHT = 14;
  private static final double TOP = 38;
  private static final double BOTTOM = 20;

  /** Rows are not drawn thinner than this, px. */
  private static final double LEAST_ROW = 16.5;

  private final Consumer<Link> choose;
  private @Nullable Circuit circuit;
  private int chosen;

  /**
   * @param choose takes the part that is chosen
   */
  ChainPicture(Consumer<Link> choose) {
    super("The chain of ratings on one ampere axis");
    this.choose = choose;
    setId("chain-picture");
    setFocusTraversable(true);
    getStyleClass().add("chooser");
    setOnMousePressed(
        e -> {
          requestFocus();
          choose((int) Math.floor((e.getY() - TOP) / step()));
        });
    addEventHandler(KeyEvent.KEY_PRESSED, this::key);
  }

  private void key(KeyEvent e) {
    if (e.getCode() == KeyCode.DOWN || e.getCode() == KeyCode.UP) {
      choose(chosen + (e.getCode() == KeyCode.DOWN ? 1 : -1));
      e.consume();
    }
  }

  void show(Circuit value) {
    circuit = value;
    List<Link> links = value.links();
    chosen = Math.min(chosen, links.size() - 1);
    setMinHeight(TOP + BOTTOM + LEAST_ROW * links.size());
    setPrefHeight(getMinHeight());
    setAccessibleHelp("weakest link: " + value.weakest().part().name());
    choose.accept(links.get(chosen));
    redraw();
  }

  /** Chooses a part by its kind, of the first pack. */
  void choose(Part.Kind kind) {
    if (circuit != null) {
      List<Link> links = circuit.links();
      for (int k = 0; k < links.size(); k++) {
        if (links.get(k).part().kind() == kind && !links.get(k).part().second()) {
          choose(k);
          return;
        }
      }
    }
  }

  private void choose(int row) {
    if (circuit != null && row >= 0 && row < circuit.links().size()) {
      chosen = row;
      Link link = circuit.links().get(row);
      setAccessibleText(link.part().label() + ", " + link.part().name());
      choose.accept(link);
      redraw();
    }
  }

  private double step() {
    int rows = circuit == null ? 1 : circuit.links().size();
    return (getHeight() - TOP - BOTTOM) / rows;
  }

  @Override
  protected void paint(Pen pen, double width, double height) {
    Circuit c = circuit;
    if (c == null) {
      return;
    }
    Demand demand = c.chain().demand();
    double most = Math.max(demand.continuous(), demand.peak());
    double moment = demand.peakDuration();
    List<Link> links = c.links();
    double ratings = links.stream().mapToDouble(l -> l.stands().at(moment)).max().orElse(most);
    Scale x =
        new Scale(
            0, Math.max(1.15 * most, Math.min(ratings * 1.05, 2.6 * most)), LEFT, width - RIGHT);
    axis(pen, x, height);
    double step = step();
    Link weakest = c.weakest();
    for (int k = 0; k < links.size(); k++) {
      Row row = new Row(links.get(k), TOP + k * step, step);
      if (k == chosen) {
        pen.fill(Role.FAINT, 0, row.y(), width, step);
      }
      bars(pen, c, row, x, moment);
      asked(pen, c, row, x);
      words(pen, c, row, links.get(k).equals(weakest), x, moment);
      if (row.link().part().kind() == Part.Kind.FUSE && !row.link().part().second()) {
        window(pen, c.chain().fuseWindow(), x, row);
      }
      if (k > 0 && row.link().charging() && !links.get(k - 1).charging()) {
        pen.line(Role.RULE, 1, 4, row.y(), width - RIGHT, row.y());
        pen.wordsBefore(Role.SOFT, Pen.TEXT, x.to(), row.y() + step / 2, "charge side");
      }
    }
    heads(pen, demand, x);
  }

  /** One part with its place. */
  private record Row(Link link, double y, double step) {
    double middle() {
      return y + step / 2;
    }

    double thick() {
      return Math.min(12, step * 0.5);
    }
  }

  private static void axis(Pen pen, Scale x, double height) {
    for (double tick : x.ticks(60)) {
      pen.line(Role.FAINT, 1, x.at(tick), TOP, x.at(tick), height - BOTTOM);
      if (x.at(tick) < x.to() - 70) {
        pen.figureCentred(
            Role.SOFT,
            Pen.TEXT,
            x.at(tick),
            height - BOTTOM + 11,
            Figures.fixed(tick, x.decimals(60)));
      }
    }
    pen.line(Role.INK, 1, x.from(), height - BOTTOM, x.to(), height - BOTTOM);
    pen.nameBefore(Role.SOFT, Pen.TEXT, x.to(), height - BOTTOM + 11, "Current, A");
  }

  private static void bars(Pen pen, Circuit c, Row row, Scale x, double moment) {
    Role bar = c.margin(row.link()) < 0 ? Role.HOT : Role.COOL;
    double top = row.middle() - row.thick() / 2;
    double shortEnd = end(x, row.link().stands().at(moment));
    double longEnd = end(x, row.link().continuous());
    pen.frame(bar, 1, x.from(), top, shortEnd - x.from(), row.thick());
    pen.hatch(bar, x.from(), top, shortEnd - x.from(), row.thick());
    pen.fill(bar, x.from(), top, longEnd - x.from(), row.thick());
  }

  private static double end(Scale x, double amperes) {
    return Math.min(x.at(amperes), x.to());
  }

  /** What the duty, or the charger, asks of a part. */
  private static void asked(Pen pen, Circuit c, Row row, Scale x) {
    if (row.link().charging()) {
      double charger = end(x, c.chargeCurrent(row.link()));
      pen.line(Role.INK, 1.5, charger, row.y(), charger, row.y() + row.step());
      return;
    }
    double share = row.link().share();
    double continuous = end(x, share * c.chain().demand().continuous());
    double peak = end(x, share * c.chain().demand().peak());
    pen.line(Role.INK, 1.5, continuous, row.y(), continuous, row.y() + row.step());
    pen.dashed(Role.INK, 1.5, peak, row.y(), peak, row.y() + row.step());
  }

  private static void words(Pen pen, Circuit c, Row row, boolean weakest, Scale x, double moment) {
    Link link = row.link();
    pen.strong(
        Role.INK,
        12,
        4,
        row.middle(),
        link.part().kind().label() + (link.part().second() ? " 2" : ""));
    String figures =
        Figures.compact(link.continuous())
            + " / "
            + Figures.compact(link.stands().at(moment))
            + " A";
    pen.figureBefore(Role.SOFT, Pen.TEXT, x.from() - 8, row.middle(), figures);
    double margin = c.margin(link);
    String word = link.part().name();
    if (margin < 0) {
      word += ", over by " + percent(-margin);
    } else if (weakest) {
      word += ", the weakest link, " + percent(margin) + " to spare";
    }
    if (link.part().kind() == Part.Kind.FUSE) {
      word += unfused(c, link.part().second());
    }
    if (link.part().kind() == Part.Kind.CHARGE_LEAD && link.protectors().isEmpty()) {
      word += ", protected by nobody";
    }
    Role role = margin < 0 ? Role.HOT : weakest ? Role.INK : Role.SOFT;
    double shortEnd = end(x, link.stands().at(moment));
    double room = x.to() - shortEnd - 10 - (link.charging() ? 76 : 0);
    double at =
        pen.width(Pen.TEXT, word) < room
            ? shortEnd + 8
            : Math.max(x.from() + 4, shortEnd - pen.width(Pen.TEXT, word) - 10);
    pen.tag(role, Pen.TEXT, at, row.middle(), word);
  }

  /** The length of lead before a fuse, where it is too much. */
  private static String unfused(Circuit c, boolean second) {
    return c.stresses().stream()
        .filter(s -> s.kind() == Stress.Kind.LENGTH && s.part().kind() == Part.Kind.LEAD)
        .filter(s -> s.part().second() == second && s.exceeded())
        .findFirst()
        .map(s -> ", " + Figures.of(s.value(), Unit.METRE) + " before it protected by nobody")
        .orElse("");
  }

  private static String percent(double share) {
    return Figures.of(share, Unit.PERCENT, 0);
  }

  /** The ratings that suit the fuse, as a bracket on its row. */
  private static void window(Pen pen, FuseWindow window, Scale x, Row row) {
    if (window.empty()) {
      return;
    }
    double at = row.y() + 2;
    double left = x.at(window.lower());
    double right = end(x, window.upper());
    pen.line(Role.INK, 2, left, at, right, at);
    pen.line(Role.INK, 2, left, at - 3, left, at + 3);
    pen.line(Role.INK, 2, right, at - 3, right, at + 3);
  }

  private static void heads(Pen pen, Demand demand, Scale x) {
    double continuous = x.at(demand.continuous());
    double peak = x.at(demand.peak());
    pen.line(Role.INK, 1.5, continuous, 28, continuous, TOP);
    pen.dashed(Role.INK, 1.5, peak, 12, peak, TOP);
    label(
        pen,
        "heaviest ten minutes " + Figures.of(demand.continuous(), Unit.AMPERE),
        continuous,
        28,
        x);
    label(
        pen,
        "hardest moment "
            + Figures.of(demand.peak(), Unit.AMPERE)
            + " for "
            + Figures.duration(demand.peakDuration()),
        peak,
        12,
        x);
  }

  private static void label(Pen pen, String text, double at, double y, Scale x) {
    if (at + 6 + pen.width(Pen.TEXT, text) < x.to()) {
      pen.tag(Role.INK, Pen.TEXT, at + 6, y, text);
    } else {
      pen.tagBefore(Role.INK, Pen.TEXT, at - 6, y, text);
    }
  }
}
