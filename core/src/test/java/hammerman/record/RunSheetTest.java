package hammerman.record;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import hammerman.unit.InvalidValue;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.EnumSource;

class RunSheetTest {
  @Test
  void whatIsEmptiedIsNotKnownAnyMore() {
    RunSheet s =
        RunSheet.NOTHING
            .withFigure(RunCondition.AIR, 290.0)
            .withWords(RunCondition.WIRE, " 10 mm² ")
            .withOwn("tyre", "soft")
            .withResult(RunResult.CHARGE, 12.0);
    assertThat(s.words()).containsEntry(RunCondition.WIRE, "10 mm²");
    assertThat(
            s.withFigure(RunCondition.AIR, null)
                .withWords(RunCondition.WIRE, "  ")
                .withOwn("tyre", "")
                .withResult(RunResult.CHARGE, null))
        .isEqualTo(RunSheet.NOTHING);
    assertThat(RunSheet.NOTHING.figure(RunCondition.AIR)).isEmpty();
  }

  @Test
  void figuresThatCannotBeAreRefusedWithTheirLimits() {
    assertThatThrownBy(() -> RunSheet.NOTHING.withFigure(RunCondition.AIR, 500.0))
        .isInstanceOf(InvalidValue.class)
        .hasMessageContaining("Air");
    assertThatThrownBy(() -> RunSheet.NOTHING.withFigure(RunCondition.START_SOC, 1.2))
        .isInstanceOf(InvalidValue.class)
        .hasMessageContaining("100 %");
    assertThatThrownBy(() -> RunSheet.NOTHING.withResult(RunResult.PEAK_CURRENT, -5.0))
        .isInstanceOf(InvalidValue.class)
        .hasMessageContaining("Peak current");
    assertThatThrownBy(() -> RunSheet.NOTHING.withFigure(RunCondition.COURSE, 3.0))
        .isInstanceOf(InvalidValue.class)
        .hasMessageContaining("words");
    assertThatThrownBy(() -> RunSheet.NOTHING.withOwn(" ", "soft"))
        .isInstanceOf(InvalidValue.class);
  }

  @Test
  void moreOwnConditionsThanAnyoneReadsAreRefused() {
    RunSheet s = RunSheet.NOTHING;
    for (int k = 0; k < RunSheet.MOST_OWN; k++) {
      s = s.withOwn("condition " + k, "as ever");
    }
    RunSheet full = s;
    assertThatThrownBy(() -> full.withOwn("one more", "as ever"))
        .isInstanceOf(InvalidValue.class)
        .hasMessageContaining("40");
  }

  @ParameterizedTest
  @EnumSource(Incident.Kind.class)
  void anIncidentNeedsALine(Incident.Kind kind) {
    assertThat(new Incident(kind, null, "on the ramp").words()).isEqualTo("on the ramp");
    assertThatThrownBy(() -> new Incident(kind, null, " ")).isInstanceOf(InvalidValue.class);
  }

  @Test
  void aScaleThatCannotBeIsRefused() {
    assertThatThrownBy(
            () ->
                new CalibrationRecord(
                    CalibrationRecord.Scaled.CAPACITY, 0, 0.01, List.of(1L), true))
        .isInstanceOf(InvalidValue.class);
  }
}
