package hammerman.project;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import hammerman.unit.InvalidValue;
import java.util.List;
import java.util.Optional;
import org.junit.jupiter.api.Test;

/** Variants of one project. */
class ProjectTest {
  private final Project barrow = Shipped.terraceBarrow();

  @Test
  void aCopyIsWorkedOnAndTheOtherStays() {
    Project two = barrow.plusVariant("What if 14S");
    assertThat(two.active()).isEqualTo(1);
    Project changed = two.withDesign(two.design().withCounts(14, 6));
    assertThat(changed.variants().getFirst()).isEqualTo(barrow.variant());
    assertThat(changed.variant().pack().series()).isEqualTo(14);
    assertThat(changed.variant().name()).isEqualTo("What if 14S");
    assertThat(changed.withActive(0).design()).isEqualTo(barrow.design());
  }

  @Test
  void theDutyIsSharedByAllVariants() {
    Project two = barrow.plusVariant("other");
    var duty = two.duty().withMachine(two.duty().machine().withCutOutVoltage(39));
    Project changed = two.withDesign(two.design().withDuty(duty));
    assertThat(changed.withActive(0).design().duty()).isEqualTo(duty);
  }

  @Test
  void namesAndAcknowledgementsBelongToOneVariant() {
    Project two = barrow.plusVariant("other");
    Project noted = two.withAcknowledged("strip.current", Optional.of("Doubled on the day"));
    assertThat(noted.variant().reasonFor("strip.current")).contains("Doubled on the day");
    assertThat(noted.withActive(0).variant().reasonFor("strip.current")).isEmpty();
    Project again = noted.withAcknowledged("strip.current", Optional.of("Seen"));
    assertThat(again.variant().acknowledged()).hasSize(1);
    assertThat(again.withAcknowledged("strip.current", Optional.empty()).variant().acknowledged())
        .isEmpty();
    assertThat(noted.withVariantName(0, "first").variants())
        .extracting(Project.Variant::name)
        .containsExactly("first", "other");
    assertThat(noted.withVariantName(0, "first").variant().reasonFor("strip.current")).isPresent();
  }

  @Test
  void aVariantGoesButNotTheLast() {
    Project three = barrow.plusVariant("b").plusVariant("c");
    Project fewer = three.withActive(1).minusVariant();
    assertThat(fewer.variants()).extracting(Project.Variant::name).doesNotContain("b").hasSize(2);
    assertThat(fewer.active()).isZero();
    assertThatThrownBy(barrow::minusVariant).isInstanceOf(InvalidValue.class);
  }

  @Test
  void whatCannotBeIsRefusedByName() {
    assertThatThrownBy(() -> barrow.withName(" "))
        .isInstanceOf(InvalidValue.class)
        .hasMessageContaining("Project name");
    assertThatThrownBy(() -> barrow.withActive(1))
        .isInstanceOf(InvalidValue.class)
        .hasMessageContaining("Active variant");
    assertThatThrownBy(() -> barrow.withNotes("x".repeat(100_001)))
        .isInstanceOf(InvalidValue.class)
        .hasMessageContaining("Notes");
    assertThatThrownBy(() -> barrow.withVariants(List.of())).isInstanceOf(InvalidValue.class);
    assertThatThrownBy(() -> barrow.withAcknowledged("strip.current", Optional.of("")))
        .isInstanceOf(InvalidValue.class)
        .hasMessageContaining("Reason");
  }

  @Test
  void theThreeExamplesAreOfThreeKinds() {
    for (Shipped.Example e : Shipped.Example.values()) {
      Project p = Shipped.example(e);
      assertThat(p.name()).isEqualTo(e.label());
      assertThat(p.notes()).isNotBlank();
    }
    assertThat(Shipped.example(Shipped.Example.DARK_SKY_BOX).design().pack().counts())
        .startsWith("4S");
    assertThat(Shipped.example(Shipped.Example.PAVEMENT_SPEAKER).design().pack().counts())
        .startsWith("7S");
  }
}
