package hammerman.watch;

import java.util.function.Function;
import java.util.function.ToDoubleFunction;

/**
 * One rule of the watch over a charge.
 *
 * @param id short and stable
 * @param figure what it looks at; not a number where the rule says nothing
 * @param passes whether the figure may not rise above the limit, or not fall below it
 * @param limit in the unit of the figure
 * @param patience how long the limit may be passed before the charge is stopped, s
 * @param words what is wrong and what to do
 * @param margin what is left to what would hurt, in words
 */
record ChargeRule(
    String id,
    ToDoubleFunction<Moment> figure,
    Passes passes,
    double limit,
    double patience,
    Function<Moment, String> words,
    Function<Moment, String> margin) {

  /** On which side of the limit it is passed. */
  enum Passes {
    ABOVE,
    BELOW
  }

  /** A rule whose figure may not rise above its limit for longer than its patience. */
  static ChargeRule above(
      String id,
      ToDoubleFunction<Moment> figure,
      double limit,
      double patience,
      Function<Moment, String> words,
      Function<Moment, String> margin) {
    return new ChargeRule(id, figure, Passes.ABOVE, limit, patience, words, margin);
  }

  /** A rule whose figure may not fall below its limit. */
  static ChargeRule below(
      String id,
      ToDoubleFunction<Moment> figure,
      double limit,
      Function<Moment, String> words,
      Function<Moment, String> margin) {
    return new ChargeRule(id, figure, Passes.BELOW, limit, 0, words, margin);
  }

  /** Whether the limit is passed. */
  boolean broken(Moment m) {
    double v = figure.applyAsDouble(m);
    return passes == Passes.ABOVE ? v > limit : v < limit;
  }
}
