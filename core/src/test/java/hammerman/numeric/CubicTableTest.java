package hammerman.numeric;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import org.junit.jupiter.api.Test;

/** Tables give the functions that went into them, each its own. */
class CubicTableTest {
  private static double cubic(double x) {
    return 3 - x + 0.5 * x * x - 0.25 * x * x * x;
  }

  @Test
  void aCubicIsMetEverywhereAndGoesOnBeyondTheEnds() {
    CubicTable t = new CubicTable(-1, 2, 7, CubicTableTest::cubic);
    for (double x = -1.5; x <= 2.5; x += 0.013) {
      assertThat(value(t, x)).as("at %s", x).isCloseTo(cubic(x), within(1e-12));
    }
  }

  @Test
  void anotherFunctionIsMetTheCloserTheFinerTheTable() {
    double coarse = worst(new CubicTable(0, 6, 12, Math::sin));
    double fine = worst(new CubicTable(0, 6, 24, Math::sin));
    assertThat(coarse).isLessThan(1e-4);
    assertThat(coarse / fine).as("an error of fourth order").isBetween(13.0, 19.0);
  }

  @Test
  void twoFunctionsSideBySideAreToldApart() {
    CubicTable t = new CubicTable(0, 4, 400, Math::exp, Math::cos);
    for (double x = 0.003; x < 4; x += 0.11) {
      double place = t.place(x);
      int piece = t.piece(place);
      assertThat(t.first(piece, place - piece)).isCloseTo(Math.exp(x), within(1e-7));
      assertThat(t.second(piece, place - piece)).isCloseTo(Math.cos(x), within(1e-9));
    }
  }

  @Test
  void whatCannotBeTabulatedIsRefused() {
    assertThatThrownBy(() -> new CubicTable(1, 1, 5, CubicTableTest::cubic))
        .hasMessageContaining("from 1.0 to 1.0");
    assertThatThrownBy(() -> new CubicTable(0, 1, 0, CubicTableTest::cubic))
        .hasMessageContaining("0 parts");
    assertThatThrownBy(() -> new CubicTable(0, 1, 5)).hasMessageContaining("0 functions");
  }

  private static double value(CubicTable t, double x) {
    double place = t.place(x);
    int piece = t.piece(place);
    return t.first(piece, place - piece);
  }

  private static double worst(CubicTable t) {
    double worst = 0;
    for (double x = 0; x < 6; x += 0.001) {
      worst = Math.max(worst, Math.abs(value(t, x) - Math.sin(x)));
    }
    return worst;
  }
}
