package hammerman.app.station.sort;

import hammerman.app.picture.Pen;
import hammerman.app.picture.Picture;
import hammerman.app.picture.Plot;
import hammerman.app.picture.Role;
import hammerman.app.picture.Scale;
import hammerman.sort.CellState;
import hammerman.sort.MeasuredCell;
import hammerman.sort.RejectRules;
import hammerman.sort.SortPlan;
import hammerman.sort.Sorting;
import hammerman.sort.Sorting.Entry;
import hammerman.unit.Figures;
import hammerman.unit.Unit;
import java.util.List;
import java.util.Locale;
import java.util.function.DoubleConsumer;
import java.util.function.Function;
import java.util.function.ToDoubleFunction;
import javafx.scene.Cursor;
import javafx.scene.input.MouseEvent;
import org.jspecify.annotations.Nullable;

/**
 * Every measured cell by capacity (rest voltage, where capacities are not measured) and resistance,
 * with how they are spread along both, and the limits as lines that can be dragged.
 */
final class LimitsPicture extends Picture {
  private static final double LEFT = 50;
  private static final double BOTTOM = 28;
  private static final double TOP = 66;
  private static final double SIDE = 64;
  private static final double GRIP = 7;
  private static final int BARS = 24;

  private SortState.@Nullable Shown shown;
  private @Nullable Scale x;
  private @Nullable Scale y;
  private Across across = Across.CAPACITY;
  private Line held = Line.NONE;
  private double at;

  private enum Line {
    NONE,
    ACROSS,
    RESISTANCE
  }

  /**
   * What the cells lie along from left to right.
   *
   * @param name of it
   * @param unit it is shown in
   * @param decimals of its limit
   * @param of a cell, in the core's unit
   * @param limit the builder's own
   * @param bound below which a cell is an outlier, not a number for none
   */
  private record Across(
      String name,
      Unit unit,
      int decimals,
      ToDoubleFunction<MeasuredCell> of,
      Function<RejectRules, @Nullable Double> limit,
      ToDoubleFunction<RejectRules.Bounds> bound) {
    static final Across CAPACITY =
        new Across(
            "Capacity",
            Unit.MILLIAMPERE_HOUR,
            0,
            MeasuredCell::capacity,
            RejectRules::leastCapacity,
            RejectRules.Bounds::leastCapacity);
    static final Across REST_VOLTAGE =
        new Across(
            "Rest voltage",
            Unit.VOLT,
            2,
            MeasuredCell::voltage,
            RejectRules::lowestVoltage,
            b -> Double.NaN);

    /** By what is measured of each cell. */
    static Across by(SortPlan plan) {
      return plan.school() == SortPlan.School.QUICK ? REST_VOLTAGE : CAPACITY;
    }

    double of(Entry e) {
      return unit.fromCore(of.applyAsDouble(e.cell().measured()));
    }

    /** The least that passes. */
    double least(SortState.Shown s) {
      Double own = limit.apply(s.plan().rules());
      return unit.fromCore(own == null ? bound.applyAsDouble(s.sorting().bounds()) : own);
    }

    /** A limit that a line was dragged to, in the core's unit. */
    double dragged(double at) {
      double steps = Math.pow(10, decimals);
      return unit.toCore(Math.rint(at * steps) / steps);
    }
  }

  /**
   * @param capacity takes a new least capacity, Ah
   * @param voltage takes a new lowest rest voltage, V
   * @param resistance takes a new most resistance, Ω
   */
  LimitsPicture(DoubleConsumer capacity, DoubleConsumer voltage, DoubleConsumer resistance) {
    super("Cells by what is measured of them, with the limits");
    setId("limits-picture");
    setMinSize(320, 240);
    setOnMouseMoved(e -> setCursor(cursor(near(e))));
    setOnMousePressed(
        e -> {
          held = near(e);
          drag(e);
        });
    setOnMouseDragged(this::drag);
    setOnMouseReleased(
        e -> {
          Line was = held;
          held = Line.NONE;
          switch (was) {
            case ACROSS ->
                (across.equals(Across.CAPACITY) ? capacity : voltage).accept(across.dragged(at));
            case RESISTANCE -> resistance.accept(Unit.MILLIOHM.toCore(Math.rint(10 * at) / 10));
            case NONE -> {}
          }
          redraw();
        });
  }

  void show(SortState.Shown value) {
    shown = value;
    across = Across.by(value.plan());
    redraw();
  }

  private static Cursor cursor(Line line) {
    return switch (line) {
      case NONE -> Cursor.DEFAULT;
      case ACROSS -> Cursor.H_RESIZE;
      case RESISTANCE -> Cursor.V_RESIZE;
    };
  }

  private void drag(MouseEvent e) {
    Scale along = x;
    Scale up = y;
    if (held == Line.NONE || along == null || up == null) {
      return;
    }
    Scale on = held == Line.ACROSS ? along : up;
    at = Math.clamp(on.valueAt(held == Line.ACROSS ? e.getX() : e.getY()), on.low(), on.high());
    redraw();
  }

  private Line near(MouseEvent e) {
    SortState.Shown s = shown;
    Scale along = x;
    Scale up = y;
    if (s == null || along == null || up == null) {
      return Line.NONE;
    }
    if (Math.abs(e.getX() - along.at(across.least(s))) < GRIP) {
      return Line.ACROSS;
    }
    return Math.abs(e.getY() - up.at(most(s))) < GRIP ? Line.RESISTANCE : Line.NONE;
  }

  /** The highest resistance that passes, mΩ. */
  private static double most(SortState.Shown s) {
    Double own = s.plan().rules().mostResistance();
    return Unit.MILLIOHM.fromCore(own == null ? s.sorting().bounds().mostResistance() : own);
  }

  private static double milliohms(Entry e) {
    return Unit.MILLIOHM.fromCore(e.cell().measured().resistance());
  }

  private List<Entry> both(Sorting s) {
    return s.entries().stream()
        .filter(e -> !Double.isNaN(across.of(e)) && e.cell().measured().hasResistance())
        .toList();
  }

  @Override
  public List<Series> figures() {
    SortState.Shown s = shown;
    if (s == null) {
      return List.of();
    }
    List<Entry> all = both(s.sorting());
    return List.of(
        new Series(axis(), all.stream().mapToDouble(across::of).toArray()),
        new Series("Resistance, mΩ", all.stream().mapToDouble(LimitsPicture::milliohms).toArray()));
  }

  private String axis() {
    return across.name() + ", " + across.unit().symbol();
  }

  @Override
  protected void paint(Pen pen, double width, double height) {
    SortState.Shown s = shown;
    List<Entry> all = s == null ? List.of() : both(s.sorting());
    if (s == null || all.size() < 2) {
      x = null;
      y = null;
      String what = across.name().toLowerCase(Locale.ROOT);
      pen.words(
          Role.SOFT, 13, 8, 24, "Cells appear here once " + what + " and resistance are measured.");
      return;
    }
    Scale along = scale(all, across::of, across.least(s), LEFT, width - SIDE - 12);
    Scale up = scale(all, LimitsPicture::milliohms, most(s), height - BOTTOM, TOP);
    x = along;
    y = up;
    new Plot(pen, along, up).vertical("Resistance, mΩ").horizontal(axis());
    histogram(pen, all, along, across::of, Double.NaN);
    histogram(pen, all, up, LimitsPicture::milliohms, along.to() + 10);
    for (Entry e : all) {
      boolean bad = e.state() == CellState.REJECTED;
      double px = along.at(across.of(e));
      double py = up.at(milliohms(e));
      pen.dot(bad ? Role.HOT : Role.COOL, px, py, 3.5);
      if (bad) {
        pen.dot(Role.PAPER, px, py, 2);
      }
    }
    lines(pen, s, along, up);
  }

  private void lines(Pen pen, SortState.Shown s, Scale along, Scale up) {
    RejectRules rules = s.plan().rules();
    double low = held == Line.ACROSS ? at : across.least(s);
    if (!Double.isNaN(low)) {
      boolean own = across.limit().apply(rules) != null || held == Line.ACROSS;
      double px = along.at(low);
      line(pen, own, px, up.to() - 8, px, up.from());
      String words =
          "%s %s %s"
              .formatted(
                  own ? "at least" : "outliers below",
                  Figures.fixed(low, across.decimals()),
                  across.unit().symbol());
      words(pen, px + 6, up.to() + 10, words, along.to());
    }
    double high = held == Line.RESISTANCE ? at : most(s);
    if (!Double.isNaN(high)) {
      boolean own = rules.mostResistance() != null || held == Line.RESISTANCE;
      double py = up.at(high);
      line(pen, own, along.from(), py, along.to() + 8, py);
      String words = (own ? "at most " : "outliers above ") + Figures.fixed(high, 1) + " mΩ";
      pen.tagBefore(Role.AMBER, Pen.TEXT, along.to() - 2, py - 9, words);
    }
  }

  private static void words(Pen pen, double x, double y, String words, double to) {
    if (x + pen.width(Pen.TEXT, words) < to) {
      pen.tag(Role.AMBER, Pen.TEXT, x, y, words);
    } else {
      pen.tagBefore(Role.AMBER, Pen.TEXT, x - 12, y, words);
    }
  }

  private static void line(Pen pen, boolean own, double x1, double y1, double x2, double y2) {
    if (own) {
      pen.line(Role.AMBER, 1.6, x1, y1, x2, y2);
    } else {
      pen.dashed(Role.AMBER, 1.2, x1, y1, x2, y2);
    }
  }

  /** From the least to the greatest with some room, the limit among them where it is near. */
  private static Scale scale(
      List<Entry> all, ToDoubleFunction<Entry> of, double limit, double from, double to) {
    double low = all.stream().mapToDouble(of).min().orElse(0);
    double high = all.stream().mapToDouble(of).max().orElse(1);
    double span = Math.max(high - low, 0.02 * Math.abs(high) + 1e-6);
    if (limit > low - span && limit < high + span) {
      low = Math.min(low, limit);
      high = Math.max(high, limit);
    }
    double room = 0.06 * Math.max(high - low, span);
    return new Scale(Math.max(0, low - room), high + room, from, to);
  }

  /** Bars along an axis: above the plot, or from {@code left} on at its right. */
  private void histogram(
      Pen pen, List<Entry> all, Scale on, ToDoubleFunction<Entry> of, double left) {
    boolean above = Double.isNaN(left);
    int[] good = new int[BARS];
    int[] bad = new int[BARS];
    double span = on.high() - on.low();
    for (Entry e : all) {
      int k = (int) Math.clamp((of.applyAsDouble(e) - on.low()) / span * BARS, 0, BARS - 1);
      if (e.state() == CellState.REJECTED) {
        bad[k]++;
      } else {
        good[k]++;
      }
    }
    int most = 1;
    for (int k = 0; k < BARS; k++) {
      most = Math.max(most, good[k] + bad[k]);
    }
    double room = above ? TOP - 30 : SIDE - 8;
    double step = room / most;
    for (int k = 0; k < BARS; k++) {
      double a = on.at(on.low() + span * k / BARS);
      double b = on.at(on.low() + span * (k + 1) / BARS);
      double first = Math.min(a, b) + 1;
      double wide = Math.abs(b - a) - 2;
      double tall = step * good[k];
      double more = step * bad[k];
      if (above) {
        pen.fill(Role.COOL_WASH, first, TOP - 14 - tall, wide, tall);
        pen.fill(Role.HOT_WASH, first, TOP - 14 - tall - more, wide, more);
      } else {
        pen.fill(Role.COOL_WASH, left, first, tall, wide);
        pen.fill(Role.HOT_WASH, left + tall, first, more, wide);
      }
    }
    if (above) {
      String what = across.name().toLowerCase(Locale.ROOT);
      pen.words(Role.SOFT, Pen.TEXT, on.from(), 10, "Cells, by " + what);
    }
  }
}
