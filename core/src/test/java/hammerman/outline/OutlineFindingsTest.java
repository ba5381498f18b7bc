package hammerman.outline;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import hammerman.Samples;
import hammerman.design.Design;
import hammerman.fit.Container;
import hammerman.fit.FitPlan;
import hammerman.fit.Packing;
import hammerman.fit.Point;
import hammerman.forecast.Forecast;
import hammerman.unit.InvalidValue;
import java.io.InputStream;
import java.lang.management.ManagementFactory;
import java.nio.charset.StandardCharsets;
import java.util.Objects;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

/** Drawings that once took minutes: each is answered within seconds, or refused with the limit. */
class OutlineFindingsTest {
  /** Of the thread's own processor time, s; some of it is compiling code for the first time. */
  private static final double MOST = 5;

  @ParameterizedTest
  @ValueSource(strings = {"outline-dxf-1", "outline-dxf-27", "outline-dxf-35", "outline-dxf-146"})
  void aDrawingIsAnsweredInTime(String name) throws Exception {
    String text;
    try (InputStream in =
        Objects.requireNonNull(
            OutlineFindingsTest.class.getResourceAsStream("/findings/" + name + ".dxf"))) {
      text = new String(in.readAllBytes(), StandardCharsets.UTF_8);
    }
    var threads = ManagementFactory.getThreadMXBean();
    long before = threads.getCurrentThreadCpuTime();
    try {
      OutlineFile read = OutlineFile.read(text, name);
      Design d = Samples.barrow();
      Container box = new Container(read.outline(), 0.1, read.keepOuts(), new Point(0, 0), 0.002);
      Forecast.of(d.withFit(FitPlan.of(box, new Packing(Packing.Pattern.values()[0], 0.001))));
    } catch (InvalidValue e) {
      assertThat(e.getMessage()).hasSizeLessThan(301);
    }
    assertThat((threads.getCurrentThreadCpuTime() - before) / 1e9).isLessThan(MOST);
  }

  /** A square of ten units, in inches. */
  @Test
  void theUnitOfTheHeadCounts() {
    String square =
        drawing(
            "9|$INSUNITS|70|1",
            "0|LWPOLYLINE|90|4|70|1",
            "10|0|20|0|10|10|20|0|10|10|20|10|10|0|20|10");
    assertThat(OutlineFile.read(square, "square").outline().area())
        .isCloseTo(0.254 * 0.254, within(1e-9));
  }

  /** A quarter circle is a rational spline of degree two; with two lines it closes a wedge. */
  @Test
  void aSplineIsFollowed() {
    String wedge =
        drawing(
            "0|SPLINE|70|4|71|2|40|0|40|0|40|0|40|1|40|1|40|1",
            "41|1|41|0.7071067811865476|41|1",
            "10|100|20|0|10|100|20|100|10|0|20|100",
            "0|LINE|10|0|20|0|11|100|21|0",
            "0|LINE|10|0|20|0|11|0|21|100");
    assertThat(OutlineFile.read(wedge, "wedge").outline().area())
        .isCloseTo(Math.PI * 0.01 / 4, within(1e-5));
  }

  private static String drawing(String... parts) {
    return ("0|SECTION|2|ENTITIES|" + String.join("|", parts) + "|0|ENDSEC|0|EOF")
        .replace('|', '\n');
  }
}
