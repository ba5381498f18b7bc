package hammerman.app.station.guard;

import hammerman.app.picture.Pen;
import hammerman.app.picture.Picture;
import hammerman.app.picture.Role;
import hammerman.app.picture.Scale;
import hammerman.chain.Chain;
import hammerman.chain.Demand;
import hammerman.chain.FuseWindow;
import hammerman.chain.Link;
import hammerman.unit.Figures;
import hammerman.unit.Unit;
import java.util.List;
import org.jspecify.annotations.Nullable;

/**
 * The chain of ratings: one ampere axis, a row for each link with its continuous rating as a solid
 * bar and its short-time rating as a hatched one, and the duty's two demands drawn through all of
 * them.
 */
final class ChainPicture extends Picture {
  private static final double LEFT = 178;
  private static final double RIGHT = 14;
  private static final double TOP = 44;
  private static final double BOTTOM = 22;

  private @Nullable Chain chain;

  ChainPicture() {
    super("The chain of ratings on one ampere axis");
  }

  void show(Chain value) {
    chain = value;
    Link weakest = value.weakest();
    setAccessibleHelp("weakest link: " + weakest.name());
    redraw();
  }

  @Override
  protected void paint(Pen pen, double width, double height) {
    Chain c = chain;
    if (c == null) {
      return;
    }
    Demand demand = c.demand();
    double most = Math.max(demand.continuous(), demand.peak());
    double ratings = c.links().stream().mapToDouble(Link::shortTime).max().orElse(most);
    Scale x =
        new Scale(
            0, Math.max(1.15 * most, Math.min(ratings * 1.05, 2.6 * most)), LEFT, width - RIGHT);
    axis(pen, x, height);
    List<Link> links = c.links();
    double step = (height - TOP - BOTTOM) / links.size();
    Link weakest = c.weakest();
    for (int k = 0; k < links.size(); k++) {
      row(pen, links.get(k), demand, links.get(k).equals(weakest), x, TOP + k * step, step);
      if (links.get(k).kind() == Link.Kind.FUSE) {
        window(pen, c.fuseWindow(), x, TOP + k * step, step);
      }
    }
    demand(pen, demand, x, height);
  }

  private static void axis(Pen pen, Scale x, double height) {
    for (double tick : x.ticks(60)) {
      pen.line(Role.FAINT, 1, x.at(tick), TOP, x.at(tick), height - BOTTOM);
      if (x.at(tick) < x.to() - 70) {
        pen.figureCentred(
            Role.SOFT,
            Pen.TEXT,
            x.at(tick),
            height - BOTTOM + 12,
            Figures.fixed(tick, x.decimals(60)));
      }
    }
    pen.line(Role.INK, 1, x.from(), height - BOTTOM, x.to(), height - BOTTOM);
    pen.wordsBefore(Role.SOFT, Pen.TEXT, x.to(), height - BOTTOM + 12, "Current, A");
  }

  private static void row(
      Pen pen, Link link, Demand demand, boolean weakest, Scale x, double y, double step) {
    double thick = Math.min(16, step * 0.36);
    double top = y + step * 0.5 - thick / 2;
    boolean over = link.margin(demand) < 0;
    Role bar = over ? Role.HOT : Role.COOL;
    double shortEnd = Math.min(x.at(link.shortTime()), x.to());
    double longEnd = Math.min(x.at(link.continuous()), x.to());
    pen.frame(bar, 1, x.from(), top, shortEnd - x.from(), thick);
    pen.hatch(bar, x.from(), top, shortEnd - x.from(), thick);
    pen.fill(bar, x.from(), top, longEnd - x.from(), thick);
    double middle = y + step * 0.5;
    pen.strong(Role.INK, 13, 4, middle, title(link.kind()));
    pen.figureBefore(
        Role.SOFT,
        Pen.TEXT,
        x.from() - 8,
        middle,
        Figures.compact(link.continuous()) + " / " + Figures.compact(link.shortTime()) + " A");
    double room = x.to() - shortEnd - 12;
    if (!weakest && pen.width(Pen.TEXT, link.name()) < room) {
      pen.tag(Role.SOFT, Pen.TEXT, shortEnd + 8, middle, link.name());
    } else if (!weakest) {
      double at = Math.min(shortEnd, x.to()) - pen.width(Pen.TEXT, link.name()) - 10;
      pen.tag(Role.SOFT, Pen.TEXT, at, middle, link.name());
    }
    if (weakest) {
      String word =
          over
              ? link.name() + ", overloaded by " + percent(-link.margin(demand))
              : link.name() + ", the weakest link, " + percent(link.margin(demand)) + " to spare";
      double at = Math.min(shortEnd + 10, x.to() - pen.width(12.5, word));
      pen.tag(over ? Role.HOT : Role.INK, 12, at, y + step * 0.5, word);
    }
  }

  private static String percent(double share) {
    return Figures.of(share, Unit.PERCENT, 0);
  }

  private static String title(Link.Kind kind) {
    return switch (kind) {
      case CELLS -> "Cells";
      case CELL_FUSES -> "Cell fuses";
      case STRIP -> "Strips";
      case BMS -> "BMS";
      case FUSE -> "Fuse";
      case SWITCH -> "Switch";
      case CONNECTOR -> "Connectors";
      case WIRE -> "Main wire";
      case MACHINE -> "Machine";
    };
  }

  /** The ratings that suit the fuse, as a bracket above its bar. */
  private static void window(Pen pen, FuseWindow window, Scale x, double y, double step) {
    double at = y + step * 0.5 - Math.min(16, step * 0.36) / 2 - 6;
    if (window.empty()) {
      pen.tag(Role.HOT, Pen.TEXT, x.from() + 2, at - 3, "no rating suits this wire");
      return;
    }
    double left = x.at(window.lower());
    double right = Math.min(x.at(window.upper()), x.to());
    pen.line(Role.INK, 2, left, at, right, at);
    pen.line(Role.INK, 2, left, at - 4, left, at + 4);
    pen.line(Role.INK, 2, right, at - 4, right, at + 4);
    pen.words(Role.INK, Pen.TEXT, right + 6, at - 2, "fuse window");
  }

  private static void demand(Pen pen, Demand demand, Scale x, double height) {
    double continuous = x.at(demand.continuous());
    double peak = x.at(demand.peak());
    double ten = x.at(demand.tenSeconds());
    if (Math.abs(ten - peak) > 8) {
      pen.dashed(Role.SOFT, 1, ten, TOP, ten, height - BOTTOM);
      label(pen, "10 s " + Figures.of(demand.tenSeconds(), Unit.AMPERE), ten, TOP - 3, peak);
    }
    pen.line(Role.INK, 1.5, continuous, 32, continuous, height - BOTTOM);
    pen.dashed(Role.INK, 1.5, peak, 16, peak, height - BOTTOM);
    String first = "heaviest ten minutes " + Figures.of(demand.continuous(), Unit.AMPERE);
    String second =
        "hardest moment "
            + Figures.of(demand.peak(), Unit.AMPERE)
            + " for "
            + Figures.duration(demand.peakDuration());
    label(pen, first, continuous, 32, continuous < peak ? peak : x.to());
    label(pen, second, peak, 16, x.to());
  }

  private static void label(Pen pen, String text, double at, double y, double end) {
    if (at + 6 + pen.width(Pen.TEXT, text) < end) {
      pen.words(Role.INK, Pen.TEXT, at + 6, y, text);
    } else {
      pen.wordsBefore(Role.INK, Pen.TEXT, at - 6, y, text);
    }
  }
}
