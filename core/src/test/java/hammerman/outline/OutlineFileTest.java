package hammerman.outline;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import hammerman.fit.Outline;
import hammerman.fit.Point;
import hammerman.unit.InvalidValue;
import java.io.IOException;
import java.io.RandomAccessFile;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Arrays;
import java.util.Random;
import java.util.stream.Collectors;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.Timeout;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;

/** Files as texts whose lines end in a bar; DXF also by {@link #dxf}. */
class OutlineFileTest {

  private static OutlineFile read(String text) {
    return OutlineFile.read(text.replace('|', '\n'), "box");
  }

  /** DXF of entities: words are codes and values in turn. */
  private static String dxf(String entities) {
    return Arrays.stream(("0 SECTION 2 ENTITIES " + entities + " 0 ENDSEC 0 EOF").split(" ", -1))
        .collect(Collectors.joining("\n"));
  }

  /** An L of 200 by 150 mm without a corner of 100 by 50: 25,000 mm². */
  @ParameterizedTest
  @ValueSource(
      strings = {
        "x;y|0;0|200;0|200;100|100;100|100;150|0;150|",
        "0,0|200,0|200,100|100,100|100,150|0,150|0,0",
        "0\t0|200.0\t0|200\t100|100\t100|100\t150|0\t150",
        "<svg viewBox='0 0 200 150' width='200mm'><polygon points='0,0 200,0 200,100 100,100"
            + " 100,150 0,150'/></svg>",
        "<svg viewBox='0 0 400 300' width='20cm'><path d='M 0 0 H 400 V 200 h -200 l 0 100 L 0 300"
            + " Z'/></svg>",
        "<svg><g transform='translate(5 7)'><g transform='scale(2)'><path d='M0 0 100 0 100 50 50"
            + " 50 50 75 0 75z'/></g></g></svg>",
        "<svg><line x2='200'/><polyline points='200,0 200,100 100,100'/>"
            + "<path d='M100,100 V150 H0'/><line y1='150'/></svg>"
      })
  void theSameShapeFromEveryKindOfFile(String text) {
    Outline outline = read(text).outline();
    assertThat(outline.corners()).hasSize(6);
    assertThat(outline.area()).isCloseTo(0.025, within(1e-9));
  }

  @ParameterizedTest
  @ValueSource(
      strings = {
        "0 LWPOLYLINE 90 6 70 1 10 0 20 0 10 200 20 0 10 200 20 100 10 100 20 100 10 100 20 150"
            + " 10 0 20 150",
        "0 POLYLINE 66 1 10 0 20 0 0 VERTEX 10 0 20 0 0 VERTEX 10 200 20 0 0 VERTEX 10 200 20 100"
            + " 0 VERTEX 10 100 20 100 0 VERTEX 10 100 20 150 0 VERTEX 10 0 20 150 0 SEQEND",
        "0 LINE 10 0 20 0 11 200 21 0 0 LINE 10 200 20 0 11 200 21 100 0 LINE 10 100 20 100 11 200"
            + " 21 100 0 LINE 10 100 20 100 11 100 21 150 0 LINE 10 0 20 150 11 100 21 150 0 LINE"
            + " 10 0 20 150 11 0 21 0"
      })
  void theSameShapeFromEveryKindOfDxf(String entities) {
    Outline outline = read(dxf(entities)).outline();
    assertThat(outline.corners()).hasSize(6);
    assertThat(outline.area()).isCloseTo(0.025, within(1e-9));
  }

  /** Half discs of 100 mm across on a rectangle of 200 by 100: 200·100 + π·50² mm². */
  @ParameterizedTest
  @ValueSource(
      strings = {
        "<svg><path d='M0 0 H200 A50 50 0 0 1 200 100 H0 A50 50 0 0 1 0 0z'/></svg>",
        "<svg><path d='M0 0 h200 a50,50 0 0 1 0,100 h-200 a50,50 0 0 1 0,-100'/></svg>",
        "<svg><path d='M0 0 h200 A50 50 90 0 1 250 50 50 50 0 0 1 200 100 H0 A50 50 0 1 1 0"
            + " 0z'/></svg>",
        "<svg><rect x='10' y='20' width='300' height='100' rx='50'/></svg>"
      })
  void arcsOfDrawingsAreFollowed(String text) {
    Outline outline = read(text).outline();
    assertThat(outline.area()).isCloseTo(0.02 + Math.PI * 0.0025, within(2e-5));
    assertThat(outline.corners()).hasSizeGreaterThan(20);
  }

  /** Three quarters of an ellipse of 80 by 40 mm, turned by 30°, with its corner at the middle. */
  @Test
  void theLargeArcOfATurnedEllipse() {
    double cos = Math.cos(Math.PI / 6);
    double sin = Math.sin(Math.PI / 6);
    String text =
        "<svg><path d='M100 100 L%.6f %.6f A80 40 30 1 1 %.6f %.6f z'/></svg>"
            .formatted(100 + 80 * cos, 100 + 80 * sin, 100 + 40 * sin, 100 - 40 * cos);
    assertThat(read(text).outline().area()).isCloseTo(0.75 * Math.PI * 0.08 * 0.04, within(2e-5));
  }

  /** A bulge of 1 is a half circle to the left of the chord; outside of a ring run with the sun. */
  @ParameterizedTest
  @CsvSource({"1, 1", "-1, -1", "0.41421356237, 0.2854"})
  void bulgesOfPolylinesAreArcs(double bulge, double segments) {
    Outline outline =
        read(dxf(
                "0 LWPOLYLINE 70 1 10 0 20 0 10 200 20 0 42 %s 10 200 20 100 10 0 20 100 42 %s"
                    .formatted(bulge, bulge)))
            .outline();
    // A quarter's segment is (π/2 − 1) r²/2 with r = 100/√2; written as a share of a half disc.
    double half = Math.PI * 0.05 * 0.05 / 2;
    double each = Math.abs(bulge) == 1 ? segments * half : (Math.PI / 2 - 1) / 2 * 0.1 * 0.1 / 2;
    assertThat(outline.area()).isCloseTo(0.02 + 2 * each, within(2e-5));
  }

  @Test
  void arcsAndLinesOfDxfJoinAndCirclesAreKeepOuts() {
    OutlineFile file =
        read(
            dxf(
                "0 LINE 10 0 20 0 11 200 21 0 0 ARC 10 200 20 50 40 50 50 270 51 90 0 LINE 10 200"
                    + " 20 100 11 0 21 100 0 ARC 10 0 20 50 40 50 50 90 51 270 0 CIRCLE 10 100 20"
                    + " 50 40 10 0 TEXT 10 5 20 5"));
    assertThat(file.outline().area()).isCloseTo(0.02 + Math.PI * 0.0025, within(3e-5));
    assertThat(file.keepOuts()).hasSize(1);
    assertThat(file.keepOuts().getFirst().area()).isCloseTo(Math.PI * 1e-4, within(3e-6));
  }

  /** The curve's own middle, (P0 + 3 P1 + 3 P2 + P3)/8, lies on the outline. */
  @Test
  void bezierCurvesKeepWithinTheTolerance() {
    Outline outline = read("<svg><path d='M0 0 C 50 -80 150 -80 200 0 V100 H0z'/></svg>").outline();
    Point top = new Point(0.1, 0.06);
    double nearest = outline.corners().stream().mapToDouble(p -> p.to(top)).min().orElseThrow();
    assertThat(nearest).isLessThan(8e-3);
    assertThat(outline.corners().stream().mapToDouble(Point::y).max().orElseThrow())
        .isCloseTo(0.06, within(Linework.TOLERANCE));
  }

  @Test
  void shapesInsideAreKeepOuts() {
    OutlineFile file =
        read(
            "<svg width='300mm' viewBox='0 0 300 200'><rect x='20' y='20' width='30' height='10'/>"
                + "<rect width='300' height='200'/><rect x='400' width='9' height='9'/>"
                + "<defs><rect x='60' y='60' width='30' height='10'/></defs></svg>");
    assertThat(file.outline().area()).isCloseTo(0.06, within(1e-9));
    assertThat(file.keepOuts()).hasSize(1);
    assertThat(file.keepOuts().getFirst().area()).isCloseTo(3e-4, within(1e-9));
  }

  @Test
  void anOutlineOfVeryManyCornersIsMadeSimpler() {
    String points =
        java.util.stream.IntStream.range(0, 3000)
            .mapToObj(
                k ->
                    "%.4f,%.4f"
                        .formatted(
                            150 + 100 * Math.cos(k * Math.PI / 1500),
                            150 + 100 * Math.sin(k * Math.PI / 1500)))
            .collect(Collectors.joining(" "));
    Outline outline = read("<svg><polygon points='" + points + "'/></svg>").outline();
    assertThat(outline.corners()).hasSizeLessThanOrEqualTo(Outline.MOST);
    assertThat(outline.area()).isCloseTo(Math.PI * 0.01, within(3e-5));
  }

  @ParameterizedTest
  @ValueSource(
      strings = {
        "",
        "hello",
        "0;0|1;1",
        "<svg><path d='M0 0 L 50 50'/></svg>",
        "<svg><path d='M0 0 Q x'/></svg>",
        "<svg><g transform='wobble(3)'><rect width='9' height='9'/></g></svg>",
        "<svg><polygon points='0,0 10",
        "<svg><polygon points='0,0 10'/></svg>",
        "0;0|100;0|oops|0;100",
        "0;0|100;100|100;0|0;100",
        "0|SECTION|0|CIRCLE|10|5|20|5|0|ENDSEC",
        "0|SECTION|0|LINE|10|five|20|5|0|ENDSEC"
      })
  void whatIsNoOutlineIsRefusedWithACure(String text) {
    assertThatThrownBy(() -> read(text)).isInstanceOf(InvalidValue.class).message().isNotBlank();
  }

  /** Such a line is not to be mended into a shape, which takes for ever, but refused at once. */
  @Test
  void aTangleOfVeryManyCornersIsRefused() {
    Random random = new Random(5);
    StringBuilder points = new StringBuilder();
    for (int k = 0; k < 60_000; k++) {
      points.append(random.nextInt(400)).append(';').append(random.nextInt(300)).append('\n');
    }
    assertThatThrownBy(() -> read(points.toString()))
        .isInstanceOf(InvalidValue.class)
        .hasMessageContaining("Corners of the outline")
        .hasMessageContaining("500");
  }

  @Test
  @Timeout(20)
  void whatIsNoFileOrFarTooLargeIsRefusedUnread(@TempDir Path folder) throws IOException {
    assertThatThrownBy(() -> OutlineFile.open(folder)).hasMessageContaining("a folder or a device");
    Path zeros = Path.of("/dev/zero");
    if (Files.exists(zeros)) {
      assertThatThrownBy(() -> OutlineFile.open(zeros)).hasMessageContaining("a device");
    }
    Path large = folder.resolve("large.dxf");
    try (RandomAccessFile file = new RandomAccessFile(large.toFile(), "rw")) {
      file.setLength(30L << 20);
    }
    assertThatThrownBy(() -> OutlineFile.open(large)).hasMessageContaining("31 MB");
    Path square = folder.resolve("square.csv");
    Files.writeString(square, "0;0\n100;0\n100;100\n0;100\n");
    assertThat(OutlineFile.open(square).outline().area()).isCloseTo(0.01, within(1e-9));
  }
}
