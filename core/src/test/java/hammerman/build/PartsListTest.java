package hammerman.build;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import hammerman.Samples;
import hammerman.SoundDesigns;
import hammerman.design.Design;
import hammerman.design.SecondPack;
import hammerman.duty.LeadBattery;
import hammerman.forecast.Forecast;
import hammerman.wiring.WiringPlan;
import java.util.List;
import java.util.Map;
import java.util.Set;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

class PartsListTest {
  private static PartsList of(Design d) {
    return PartsList.of(Forecast.of(d));
  }

  private static PartItem item(PartsList p, String key) {
    return p.items().stream()
        .filter(i -> i.key().equals(key))
        .findFirst()
        .orElseThrow(() -> new AssertionError("no " + key));
  }

  @Test
  void littleIsSaidInSmallUnits() {
    PartItem paper = item(of(Samples.barrow()), "paper");
    assertThat(paper.toBuyWords()).endsWith(" m²");
    assertThat(amount(paper, 0.00617).toBuyWords()).as("rounded up").isEqualTo("62 cm²");
    assertThat(amount(paper, 0.0999).toBuyWords()).isEqualTo("999 cm²");
    assertThat(amount(paper, 0.1).toBuyWords()).isEqualTo("0.1 m²");
    PartItem wire = item(of(Samples.barrow()), "balance.wire");
    assertThat(amount(wire, 0.0421).toBuyWords()).isEqualTo("43 mm");
    assertThat(amount(wire, 4.2).toBuyWords()).isEqualTo("4.2 m");
  }

  private static PartItem amount(PartItem i, double quantity) {
    return new PartItem(
        i.key(), i.kind(), i.name(), quantity, 0, i.unit(), i.price(), i.mass(), i.needed());
  }

  @Test
  void theBarrowNeedsTheseByHand() {
    Design d = Samples.barrow();
    PartsList p = of(d);
    assertThat(item(p, "cells").quantity()).isEqualTo(78);
    assertThat(item(p, "cells").spare()).as("two in a hundred").isEqualTo(2);
    assertThat(item(p, "balance.plug").name()).contains("14 contacts");
    assertThat(item(p, "fuse.main").toBuy()).as("one and two spares").isEqualTo(3);
    int pairs = d.guard().wiring().connectorPairs();
    assertThat(item(p, "connector.sockets").quantity()).isEqualTo(pairs);
    assertThat(item(p, "connector.plugs").quantity()).isEqualTo(pairs);
    double wire =
        WiringPlan.of(Forecast.of(d).chain()).runs().stream()
            .mapToDouble(WiringPlan.Run::length)
            .sum();
    double listed =
        p.items().stream()
            .filter(i -> i.key().startsWith("wire."))
            .mapToDouble(PartItem::quantity)
            .sum();
    assertThat(listed).isCloseTo(wire, within(1e-9));
    double sum =
        p.items().stream()
            .filter(i -> i.price() != null)
            .mapToDouble(i -> i.price() * i.toBuy())
            .sum();
    assertThat(p.price()).isCloseTo(sum, within(1e-9));
    assertThat(p.mass())
        .as("cells and a tenth or more")
        .isBetween(1.05 * 78 * 0.070, 1.4 * 78 * 0.070);
  }

  @ParameterizedTest
  @ValueSource(longs = {51, 52, 53, 54})
  void everyStageOfTheProcedureFindsItsParts(long seed) {
    Design d = SoundDesigns.of(seed);
    PartsList p = of(d);
    assertThat(p.items().stream().map(PartItem::key)).doesNotHaveDuplicates();
    assertThat(p.items()).allSatisfy(i -> assertThat(i.quantity()).isPositive());
    Set<Stage> stages =
        Set.copyOf(Procedure.of(Forecast.of(d)).steps().stream().map(Step::stage).toList());
    assertThat(stages).containsAll(p.held(i -> true).keySet());
    assertThat(p.items().stream().anyMatch(i -> i.key().equals("bms")))
        .isEqualTo(d.guard().protection().bms().isPresent());
    assertThat(p.items().stream().anyMatch(i -> i.key().equals("tool.gloves")))
        .isEqualTo(Procedure.of(Forecast.of(d)).step("bench.second-person").isPresent());
  }

  @Test
  void whatIsTakenOutCountsAgainstTheMass() {
    Design d = Samples.barrow();
    Design lead = d.withDuty(d.duty().withReplaces(new LeadBattery(48, 20)));
    // 960 Wh at 32 Wh/kg.
    assertThat(of(lead).takenOut()).isCloseTo(30, within(1e-9));
    assertThat(of(lead).netMass()).isCloseTo(of(d).mass() - 30, within(1e-9));
  }

  @Test
  void whatLacksHoldsItsStageBackAndNoOther() {
    PartsList p = of(Samples.barrow());
    Map<Stage, List<PartItem>> held = p.held(i -> i.key().equals("connector.plugs"));
    assertThat(held.keySet()).containsExactly(Stage.WIRING);
  }

  @Test
  void ownPricesTakeThePlaceOfTypicalOnes() {
    Forecast f = Forecast.of(Samples.barrow());
    PartsList dear = PartsList.of(f, Map.of("bms", 100.0));
    assertThat(dear.price() - PartsList.of(f).price())
        .isCloseTo(100 - item(PartsList.of(f), "bms").cost(), within(1e-9));
  }

  @Test
  void aSecondPackBringsItsOwnAndTheJunction() {
    PartsList p = of(Samples.barrow().withSecond(Samples.second(SecondPack.Joining.DIODES)));
    assertThat(item(p, "second.combiner").needed()).isEqualTo(Stage.PACKS);
    assertThat(item(p, "second.cells").quantity()).isPositive();
  }

  @Test
  void theTableIsReadBack() {
    String csv = of(Samples.barrow()).csv(Set.of("cells"));
    assertThat(csv).startsWith("key,kind,part,quantity,spare,unit,price each,price,mass_kg,there");
    assertThat(csv.lines().filter(l -> l.endsWith(",yes"))).hasSize(1);
  }
}
