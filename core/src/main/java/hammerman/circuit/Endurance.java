package hammerman.circuit;

import hammerman.guard.Fuse;
import hammerman.guard.FuseClass;
import hammerman.guard.Wire;
import hammerman.pack.Strip;

/** The rms current that a part stands for a time. */
@FunctionalInterface
public interface Endurance {
  /** The time for which short-time currents are rated, s. */
  double RATED_TIME = 10;

  /** Time over which a switch's contacts average their heat, s; typical. */
  double SWITCH_TIME = 60;

  /** Current over the rated one at which a cell, contact or plug is ruined; typical. */
  double RUIN = 1.5;

  /** Rise at which strip ruins what it lies on, K; typical of wrap and insulation paper. */
  double STRIP_RUIN_RISE = 100;

  /** Returns the current, A, for a time, s. */
  double at(double seconds);

  /**
   * A part with a rating for long and one for ten seconds: what ten seconds allow above the
   * continuous heat is spread over longer times, I² = Ic² + (Ip² − Ic²) · 10 s / t.
   */
  static Endurance rated(double continuous, double peak) {
    double excess = (peak * peak - continuous * continuous) * RATED_TIME;
    return t ->
        t <= RATED_TIME ? peak : Math.sqrt(continuous * continuous + Math.max(0, excess) / t);
  }

  /** What ruins such a part: 1.5 times the rated current, below ten seconds with I² t constant. */
  static Endurance ruining(Endurance rated) {
    double peak = RUIN * rated.at(RATED_TIME);
    return t -> t < RATED_TIME ? peak * Math.sqrt(RATED_TIME / t) : RUIN * rated.at(t);
  }

  /** A switch: its rating, and the same heat within a minute. */
  static Endurance contacts(double continuous) {
    return t -> continuous * Math.sqrt(Math.max(1, SWITCH_TIME / t));
  }

  /** A fuse that must not open: three quarters of its rating for long, half the melting time. */
  static Endurance fuse(FuseClass kind, double rating) {
    return t ->
        t >= 600
            ? Fuse.CONTINUOUS_SHARE * rating
            : rating * kind.safeMultiple(Fuse.TIME_FACTOR * t);
  }

  /** Wire in air of a temperature (K), to the limit of its insulation. */
  static Endurance wire(Wire w, double kelvin) {
    return t -> w.shortTimeAmpacity(kelvin, t);
  }

  /** What ruins the insulation of a wire. */
  static Endurance ruiningWire(Wire w, double kelvin) {
    return t -> w.damageCurrent(kelvin, t);
  }

  /** Strips side by side, each for a rise of 20 K; {@code share} is that of the hottest one. */
  static Endurance strips(Strip s, double share) {
    return t -> s.shortTimeAmpacity(t) / share;
  }

  /** What ruins the cells under such strips. */
  static Endurance ruiningStrips(Strip s, double share) {
    double more = Math.sqrt(STRIP_RUIN_RISE / Strip.ALLOWED_RISE);
    return t -> more * s.shortTimeAmpacity(t) / share;
  }
}
