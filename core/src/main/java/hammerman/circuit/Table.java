package hammerman.circuit;

import hammerman.unit.Unit;
import java.util.ArrayList;
import java.util.List;

/** The rows of a stress table as they are filled in. */
final class Table {
  private final List<Stress> rows = new ArrayList<>();
  private State state = State.TYPED;
  private Corner corner = Corner.ANY;
  private double seconds = Double.NaN;
  private String protector = "";
  private String source = "";

  /** Begins rows that hold in a state, at conditions. */
  Table in(State s, Corner c) {
    state = s;
    corner = c;
    seconds = Double.NaN;
    protector = "";
    source = "";
    return this;
  }

  /** Says for how long the next rows last, s. */
  Table lasting(double s) {
    seconds = s;
    return this;
  }

  /** Says who ends the next rows. */
  Table endedBy(String who) {
    protector = who;
    return this;
  }

  /** Says where the limit of the next rows comes from. */
  Table from(String where) {
    source = where;
    return this;
  }

  /** A value that may be at most its limit. */
  Table most(Part part, Stress.Kind kind, double value, double limit, Unit unit) {
    return row(part, kind, value, limit, false, unit);
  }

  /** A value that must be at least its limit. */
  Table least(Part part, Stress.Kind kind, double value, double limit, Unit unit) {
    return row(part, kind, value, limit, true, unit);
  }

  private Table row(
      Part part, Stress.Kind kind, double value, double limit, boolean atLeast, Unit unit) {
    rows.add(
        new Stress(
            part, kind, value, limit, atLeast, unit, state, corner, seconds, protector, source));
    return this;
  }

  List<Stress> rows() {
    return rows;
  }
}
