package hammerman.judgement;

import hammerman.circuit.Circuit;
import hammerman.circuit.Stress;
import hammerman.finding.Severity;
import hammerman.finding.Station;

/**
 * How a row of the stress table reads when its limit is passed.
 *
 * @param word the matter in a word or two
 * @param station where it is mended
 * @param severity how grave, by its consequence
 * @param title what is the matter
 * @param why the reason, with its figures
 * @param fix what to change, and to what
 * @param caution the usual caution at this hazard; empty for none
 * @param looksAt what is compared, for the documentation
 */
record Words(
    String word,
    Station station,
    Of<Severity> severity,
    String title,
    Of<String> why,
    Of<String> fix,
    String caution,
    String looksAt) {

  /** What follows from a row and its circuit. */
  @FunctionalInterface
  interface Of<T> {
    T of(Stress s, Circuit c);
  }

  /** Words of what is mended at Guard, without a caution. */
  static Words atGuard(
      String word,
      Of<Severity> severity,
      String title,
      Of<String> why,
      Of<String> fix,
      String looksAt) {
    return new Words(word, Station.GUARD, severity, title, why, fix, "", looksAt);
  }

  static Of<Severity> stop() {
    return (s, c) -> Severity.STOP;
  }

  static Of<Severity> warn() {
    return (s, c) -> Severity.WARN;
  }

  static Of<Severity> note() {
    return (s, c) -> Severity.NOTE;
  }

  /** A stop when the value is so many times its limit, else a warning. */
  static Of<Severity> stopFrom(double ratio) {
    return (s, c) -> s.value() > ratio * s.limit() ? Severity.STOP : Severity.WARN;
  }

  Words cautioned(String text) {
    return new Words(word, station, severity, title, why, fix, text, looksAt);
  }
}
