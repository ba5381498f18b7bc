package hammerman.fit;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import hammerman.unit.InvalidValue;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

/** Files as texts whose lines end in a bar. */
class OutlineFileTest {
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
        "0|"
            + "SECTION|"
            + "0|"
            + "LWPOLYLINE|"
            + "90|"
            + "6|"
            + "10|"
            + "0|"
            + "20|"
            + "0|"
            + "10|"
            + "200|"
            + "20|"
            + "0|"
            + "10|"
            + "200|"
            + "20|"
            + "100|"
            + "10|"
            + "100|"
            + "20|"
            + "100|"
            + "10|"
            + "100|"
            + "20|"
            + "150|"
            + "10|"
            + "0|"
            + "20|"
            + "150|"
            + "0|"
            + "ENDSEC|",
        "0|"
            + "POLYLINE|"
            + "10|"
            + "0|"
            + "20|"
            + "0|"
            + "0|"
            + "VERTEX|"
            + "10|"
            + "0|"
            + "20|"
            + "0|"
            + "0|"
            + "VERTEX|"
            + "10|"
            + "200|"
            + "20|"
            + "0|"
            + "0|"
            + "VERTEX|"
            + "10|"
            + "200|"
            + "20|"
            + "100|"
            + "0|"
            + "VERTEX|"
            + "10|"
            + "100|"
            + "20|"
            + "100|"
            + "0|"
            + "VERTEX|"
            + "10|"
            + "100|"
            + "20|"
            + "150|"
            + "0|"
            + "VERTEX|"
            + "10|"
            + "0|"
            + "20|"
            + "150|"
            + "0|"
            + "SEQEND|"
      })
  void theSameShapeFromEveryKindOfFile(String text) {
    OutlineFile file = OutlineFile.read(text.replace('|', '\n'), "box");
    assertThat(file.outline().corners()).hasSize(6);
    assertThat(file.outline().area()).isCloseTo(0.025, within(1e-9));
  }

  @Test
  void shapesInsideAreKeepOuts() {
    OutlineFile file =
        OutlineFile.read(
            "<svg width='300mm' viewBox='0 0 300 200'><rect x='20' y='20' width='30' height='10'/>"
                + "<rect width='300' height='200'/><rect x='400' width='9' height='9'/></svg>",
            "box.svg");
    assertThat(file.outline().area()).isCloseTo(0.06, within(1e-9));
    assertThat(file.keepOuts()).hasSize(1);
    assertThat(file.keepOuts().getFirst().area()).isCloseTo(3e-4, within(1e-9));
  }

  @ParameterizedTest
  @ValueSource(
      strings = {
        "",
        "hello",
        "0;0|1;1",
        "<svg><path d='M0 0 C 1 1 2 2 3 3'/></svg>",
        "<svg><polygon points='0,0 10",
        "0;0|100;0|oops|0;100",
        "0;0|100;100|100;0|0;100"
      })
  void whatIsNoOutlineIsRefusedWithACure(String text) {
    assertThatThrownBy(() -> OutlineFile.read(text.replace('|', '\n'), "box"))
        .isInstanceOf(InvalidValue.class)
        .message()
        .isNotBlank();
  }
}
