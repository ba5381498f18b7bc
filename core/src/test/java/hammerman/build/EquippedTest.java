package hammerman.build;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import hammerman.design.Design;
import hammerman.forecast.Forecast;
import hammerman.guard.Guard;
import hammerman.guard.Parts;
import hammerman.project.Shipped;
import java.util.EnumSet;
import java.util.List;
import org.junit.jupiter.api.Test;

/** A stack with its parts: what it all comes to, and what no part cures. */
class EquippedTest {
  private final Design box = Shipped.example(Shipped.Example.DARK_SKY_BOX).design();

  @Test
  void aModestStackFindsAllItsPartsAndTheirPriceIsThatOfTheList() {
    Equipped e = Equipped.of(box, Shipped.parts());
    assertThat(e.isFeasible()).isTrue();
    assertThat(e.against()).isEmpty();
    PartsList list = PartsList.of(Forecast.of(e.design()));
    assertThat(e.price()).isCloseTo(list.price(), within(1e-9));
    assertThat(e.price()).as("more than its cells").isGreaterThan(box.pack().cost());
    assertThat(e.mass()).isGreaterThan(box.pack().cells() * box.pack().cell().mass());
    assertThat(e.design().pack()).as("the stack itself stays").isEqualTo(box.pack());
  }

  @Test
  void whatNoPartOnTheShelfCarriesIsSaid() {
    Parts all = Shipped.parts();
    // Nothing but the weakest of each: a shop that has little.
    Parts few =
        new Parts(
            all.bms(),
            all.wires().subList(0, 1),
            all.connectors().subList(0, 1),
            all.switches().subList(0, 1),
            all.chargers(),
            all.prechargers(),
            all.strips());
    Design barrow = Shipped.terraceBarrow().design();
    Equipped rich = Equipped.of(barrow, all);
    Equipped poor = Equipped.of(barrow, few);
    assertThat(poor.against().size()).isGreaterThan(rich.against().size());
    assertThat(poor.against())
        .anyMatch(f -> f.id().contains("wire") || f.id().contains("connector"));
  }

  @Test
  void aLockedPartStays() {
    Guard guard = box.guard();
    for (Guard.Part part : List.of(Guard.Part.FUSE, Guard.Part.WIRE)) {
      Design locked = box.withGuard(guard.withLocked(EnumSet.of(part)));
      Equipped e = Equipped.of(locked, Shipped.parts());
      if (part == Guard.Part.FUSE) {
        assertThat(e.design().guard().fusing()).isEqualTo(guard.fusing());
      } else {
        assertThat(e.design().guard().wiring().wire()).isEqualTo(guard.wiring().wire());
      }
    }
  }
}
