package hammerman.app.station.prove;

import hammerman.app.picture.Pen;
import hammerman.app.picture.Picture;
import hammerman.app.picture.Plot;
import hammerman.app.picture.Role;
import hammerman.app.picture.Scale;
import hammerman.record.Run.Channel;
import hammerman.record.Trace;
import hammerman.unit.Figures;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Map;
import javafx.scene.input.KeyCode;
import javafx.scene.input.KeyEvent;
import javafx.scene.input.MouseEvent;
import javafx.scene.input.ScrollEvent;
import org.jspecify.annotations.Nullable;

/**
 * The log of a run, each channel on a band of its own over one axis of time. The wheel and + and −
 * zoom, dragging and the arrows move, Home shows the whole; the crosshair follows the mouse, or the
 * arrows with Shift.
 */
final class RunPicture extends Picture {
  private static final double LEFT = 58;
  private static final double RIGHT = 14;
  private static final double BAND_GAP = 24;
  private static final double FOOT = 28;
  private static final long FEWEST = 10;

  /**
   * A stretch of a run, ready to be drawn.
   *
   * @param samples of the whole run
   * @param from index of the first sample shown
   * @param to index after the last
   * @param time of the slots, s
   * @param numbers of the channels shown
   * @param channels shown
   * @param traces of them
   * @param lines laid over channels
   * @param marks channels whose lowest (true) or highest figure is marked, by their numbers
   */
  record Stretch(
      long samples,
      long from,
      long to,
      Trace time,
      List<Integer> numbers,
      List<Channel> channels,
      List<Trace> traces,
      List<Over> lines,
      Map<Integer, Boolean> marks) {
    Stretch over(List<Over> with) {
      return new Stretch(samples, from, to, time, numbers, channels, traces, with, marks);
    }
  }

  /**
   * A line over a channel.
   *
   * @param channel number of it
   * @param time s, rising
   * @param value in the channel's unit
   */
  @SuppressWarnings("ArrayRecordComponent")
  record Over(int channel, double[] time, double[] value) {
    /** Returns the value at a time, s; not a number outside. */
    double at(double when) {
      int k = Arrays.binarySearch(time, when);
      int before = k >= 0 ? k : -k - 2;
      return before < 0 || before >= value.length ? Double.NaN : value[before];
    }
  }

  /** Asks for another stretch. */
  @FunctionalInterface
  interface Window {
    void show(long from, long to);
  }

  private final Window window;
  private @Nullable Stretch stretch;
  private double draggedFrom;

  /** Where the crosshair stands, px; not a number where there is none. */
  private double cursor = Double.NaN;

  RunPicture(Window window) {
    super("The log of the run over time");
    this.window = window;
    setId("run-picture");
    setFocusTraversable(true);
    addEventHandler(ScrollEvent.SCROLL, this::wheel);
    addEventHandler(
        MouseEvent.MOUSE_PRESSED,
        e -> {
          requestFocus();
          draggedFrom = e.getX();
        });
    addEventHandler(MouseEvent.MOUSE_DRAGGED, this::drag);
    addEventHandler(MouseEvent.MOUSE_MOVED, e -> point(e.getX()));
    addEventHandler(MouseEvent.MOUSE_EXITED, e -> point(Double.NaN));
    addEventHandler(KeyEvent.KEY_PRESSED, this::key);
  }

  void show(@Nullable Stretch value) {
    stretch = value;
    redraw();
  }

  /** What is seen: where many samples share a slot, the middle of their range. */
  @Override
  public List<Series> figures() {
    Stretch s = stretch;
    if (s == null) {
      return List.of();
    }
    List<Series> all = new ArrayList<>();
    all.add(new Series("time_s", middles(s.time())));
    for (int c = 0; c < s.channels().size(); c++) {
      Channel channel = s.channels().get(c);
      String unit = channel.unit().isEmpty() ? "" : " " + channel.unit();
      all.add(new Series(channel.name() + unit, middles(s.traces().get(c))));
    }
    return all;
  }

  private static double[] middles(Trace t) {
    double[] values = new double[t.size()];
    for (int k = 0; k < values.length; k++) {
      values[k] = 0.5 * (t.low(k) + t.high(k));
    }
    return values;
  }

  /** Returns how many slots a picture of this width has. */
  int slots() {
    return (int) Math.max(50, getWidth() - LEFT - RIGHT);
  }

  private void wheel(ScrollEvent e) {
    zoom(e.getDeltaY() > 0 ? 0.8 : 1.25, (e.getX() - LEFT) / slots());
    e.consume();
  }

  private void drag(MouseEvent e) {
    Stretch s = stretch;
    if (s != null) {
      long by = Math.round((draggedFrom - e.getX()) / slots() * (s.to() - s.from()));
      if (by != 0) {
        draggedFrom = e.getX();
        move(by);
      }
    }
  }

  private void point(double x) {
    cursor = x;
    redraw();
  }

  private void key(KeyEvent e) {
    Stretch s = stretch;
    if (s == null) {
      return;
    }
    if (e.isShiftDown() && (e.getCode() == KeyCode.LEFT || e.getCode() == KeyCode.RIGHT)) {
      double from = Double.isNaN(cursor) ? LEFT + slots() / 2.0 : cursor;
      double by = (e.getCode() == KeyCode.LEFT ? -1 : 1) * slots() / 60.0;
      point(Math.clamp(from + by, LEFT, LEFT + slots()));
      e.consume();
      return;
    }
    long step = Math.max(1, (s.to() - s.from()) / 10);
    switch (e.getCode()) {
      case PLUS, EQUALS, ADD -> zoom(0.5, 0.5);
      case MINUS, SUBTRACT -> zoom(2, 0.5);
      case LEFT -> move(-step);
      case RIGHT -> move(step);
      case HOME -> window.show(0, s.samples());
      default -> {
        return;
      }
    }
    e.consume();
  }

  private void zoom(double factor, double about) {
    Stretch s = stretch;
    if (s == null) {
      return;
    }
    long span = s.to() - s.from();
    long wanted = Math.clamp(Math.round(span * factor), Math.min(FEWEST, s.samples()), s.samples());
    long from = s.from() + Math.round(Math.clamp(about, 0, 1) * (span - wanted));
    from = Math.clamp(from, 0, s.samples() - wanted);
    window.show(from, from + wanted);
  }

  private void move(long by) {
    Stretch s = stretch;
    if (s != null) {
      long from = Math.clamp(s.from() + by, 0, s.samples() - (s.to() - s.from()));
      window.show(from, from + s.to() - s.from());
    }
  }

  @Override
  protected void paint(Pen pen, double width, double height) {
    Stretch s = stretch;
    if (s == null || s.time().size() == 0) {
      pen.words(Role.SOFT, Pen.TEXT, 8, 16, "Choose a run to see its log.");
      return;
    }
    double last = lastTime(s.time());
    double first = firstTime(s.time());
    if (!(last > first)) {
      pen.words(Role.SOFT, Pen.TEXT, 8, 16, "The log has no times to draw it by.");
      return;
    }
    boolean hours = last - first > 5400;
    boolean minutes = last - first > 120;
    double unit = hours ? 3600 : minutes ? 60 : 1;
    Scale x = new Scale(first / unit, last / unit, LEFT, width - RIGHT);
    double band = (height - FOOT) / Math.max(1, s.traces().size());
    for (int c = 0; c < s.traces().size(); c++) {
      double top = c * band + BAND_GAP;
      double bottom = (c + 1) * band;
      boolean lowest = c == s.traces().size() - 1;
      band(pen, x, s, c, top, lowest ? bottom - 2 : bottom - 8, unit);
    }
    if (cursor >= LEFT && cursor <= width - RIGHT) {
      pen.line(Role.INK, 0.8, cursor, 2, cursor, height - FOOT);
    }
    Scale foot = new Scale(0, 1, height - FOOT, 0);
    new Plot(pen, x, foot).horizontal(hours ? "Time, h" : minutes ? "Time, min" : "Time, s");
  }

  private void band(Pen pen, Scale x, Stretch s, int c, double top, double bottom, double unit) {
    Trace t = s.traces().get(c);
    double low = Double.POSITIVE_INFINITY;
    double high = Double.NEGATIVE_INFINITY;
    for (int k = 0; k < t.size(); k++) {
      low = t.low(k) < low ? t.low(k) : low;
      high = t.high(k) > high ? t.high(k) : high;
    }
    for (Over o : s.lines()) {
      for (int k = 0; o.channel() == s.numbers().get(c) && k < o.time().length; k++) {
        boolean inside = o.time()[k] / unit >= x.low() && o.time()[k] / unit <= x.high();
        low = inside && o.value()[k] < low ? o.value()[k] : low;
        high = inside && o.value()[k] > high ? o.value()[k] : high;
      }
    }
    Channel channel = s.channels().get(c);
    String name = channel.name() + (channel.unit().isEmpty() ? "" : ", " + channel.unit());
    if (!(low <= high) || bottom - top < 12) {
      pen.name(Role.SOFT, Pen.TEXT, LEFT, top, name + ": no figures here");
      return;
    }
    Scale y = Scale.around(low, high, 1e-3 * Math.max(1, Math.abs(high)), bottom, top);
    new Plot(pen, x, y).vertical(name);
    double[] ends = new double[4 * t.size()];
    int n = 0;
    double before = Double.NaN;
    for (int k = 0; k < t.size(); k++) {
      double at = x.at(s.time().low(k) / unit);
      if (Double.isNaN(t.low(k)) || Double.isNaN(at)) {
        before = Double.NaN;
        continue;
      }
      ends[4 * n] = at;
      ends[4 * n + 1] = Double.isNaN(before) ? y.at(t.low(k)) : reach(before, y.at(t.low(k)));
      ends[4 * n + 2] = at;
      ends[4 * n + 3] = y.at(t.high(k)) - 1;
      before = y.at(0.5 * (t.low(k) + t.high(k)));
      n++;
    }
    pen.strokes(c % 2 == 0 ? Role.HOT : Role.COOL, 1.2, ends, n);
    for (Over o : s.lines()) {
      if (o.channel() == s.numbers().get(c)) {
        over(pen, x, y, o, unit);
      }
    }
    Boolean lowest = s.marks().get(s.numbers().get(c));
    if (lowest != null) {
      mark(pen, x, y, s, c, lowest, unit);
    }
    if (cursor >= x.from() && cursor <= x.to()) {
      pen.readingBefore(Role.INK, Pen.TEXT, x.to(), top - 11, told(s, c, x.valueAt(cursor) * unit));
    }
  }

  /** Marks the lowest or the highest of what is seen of a channel, with its figure. */
  private static void mark(
      Pen pen, Scale x, Scale y, Stretch s, int c, boolean lowest, double unit) {
    Trace t = s.traces().get(c);
    int best = -1;
    for (int k = 0; k < t.size(); k++) {
      double v = lowest ? -t.low(k) : t.high(k);
      double was = best < 0 ? Double.NEGATIVE_INFINITY : lowest ? -t.low(best) : t.high(best);
      best = v > was ? k : best;
    }
    if (best < 0 || Double.isNaN(s.time().low(best))) {
      return;
    }
    double px = x.at(s.time().low(best) / unit);
    double value = lowest ? t.low(best) : t.high(best);
    double py = y.at(value);
    String words = (lowest ? "lowest " : "highest ") + figure(value, s.channels().get(c));
    pen.ring(Role.INK, 1.2, px, py, 3);
    boolean left = px > x.from() + pen.width(Pen.TEXT, words) + 12;
    if (left) {
      pen.tagBefore(Role.INK, Pen.TEXT, px - 7, py, words);
    } else {
      pen.tag(Role.INK, Pen.TEXT, px + 7, py, words);
    }
  }

  private static String figure(double value, Channel channel) {
    return Figures.number(value) + (channel.unit().isEmpty() ? "" : " " + channel.unit());
  }

  /** What a channel says at a time, and its forecast. */
  private static String told(Stretch s, int c, double when) {
    Trace t = s.traces().get(c);
    int at = 0;
    while (at + 1 < t.size() && s.time().low(at + 1) <= when) {
      at++;
    }
    if (t.size() == 0 || Double.isNaN(t.low(at))) {
      return "";
    }
    String words = figure(0.5 * (t.low(at) + t.high(at)), s.channels().get(c));
    for (Over o : s.lines()) {
      double f = o.at(when);
      if (o.channel() == s.numbers().get(c) && Double.isFinite(f)) {
        words += ", forecast " + figure(f, s.channels().get(c));
      }
    }
    return Figures.duration(when) + ": " + words;
  }

  /** A line over a band, one point for each pixel at most. */
  private static void over(Pen pen, Scale x, Scale y, Over o, double unit) {
    double[] xs = new double[o.time().length];
    double[] ys = new double[o.time().length];
    int n = 0;
    double last = Double.NEGATIVE_INFINITY;
    for (int k = 0; k < o.time().length; k++) {
      double at = x.at(o.time()[k] / unit);
      boolean inside = at >= x.from() && at <= x.to() && Double.isFinite(o.value()[k]);
      if (inside && at - last >= 0.7) {
        xs[n] = at;
        ys[n++] = Math.clamp(y.at(o.value()[k]), y.to(), y.from());
        last = at;
      }
    }
    pen.curve(Role.INK, 0.9, xs, ys, n);
  }

  /** A slot's stroke begins where the one before it was, so that steps stay joined. */
  private static double reach(double before, double low) {
    return Math.max(before, low);
  }

  private static double firstTime(Trace time) {
    for (int k = 0; k < time.size(); k++) {
      if (!Double.isNaN(time.low(k))) {
        return time.low(k);
      }
    }
    return Double.NaN;
  }

  private static double lastTime(Trace time) {
    for (int k = time.size() - 1; k >= 0; k--) {
      if (!Double.isNaN(time.high(k))) {
        return time.high(k);
      }
    }
    return Double.NaN;
  }
}
