package hammerman.unit;

import org.jspecify.annotations.Nullable;

/**
 * What all prices of a project are in.
 *
 * @param sign as it is written after a figure, such as EUR; absent while that is not said
 */
public record Currency(@Nullable String sign) {
  /** Returns an amount of money in words, with the sign where that is known. */
  public String money(double amount, int decimals) {
    return of(Figures.fixed(amount, decimals));
  }

  /** Returns a figure of money with the sign where that is known. */
  public String of(String figure) {
    return sign == null ? figure : figure + " " + sign;
  }
}
