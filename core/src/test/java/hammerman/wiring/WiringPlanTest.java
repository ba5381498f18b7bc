package hammerman.wiring;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import hammerman.Samples;
import hammerman.chain.Chain;
import hammerman.design.Design;
import hammerman.guard.Fusing;
import hammerman.guard.Protection;
import java.io.ByteArrayInputStream;
import java.nio.charset.StandardCharsets;
import javax.xml.parsers.DocumentBuilderFactory;
import org.junit.jupiter.api.Test;
import org.w3c.dom.Document;
import org.w3c.dom.Element;

class WiringPlanTest {
  private final Design barrow = Samples.barrow();
  private final Chain chain = Chain.of(barrow);
  private final WiringPlan plan = WiringPlan.of(chain);

  @Test
  void leadsAreCutWithSlackAndAddUp() {
    double main =
        plan.runs().stream()
            .filter(r -> !r.from().startsWith("Charge"))
            .mapToDouble(WiringPlan.Run::length)
            .sum();
    assertThat(main).isCloseTo(barrow.guard().wiring().leads().main() * 1.1, within(1e-9));
    double bought = plan.totals().values().stream().mapToDouble(Double::doubleValue).sum();
    double cut = plan.runs().stream().mapToDouble(WiringPlan.Run::length).sum();
    assertThat(bought).isCloseTo(cut, within(1e-9));
  }

  @Test
  void dropAndHeatAreOhmsLaw() {
    double current = chain.demand().continuous();
    for (WiringPlan.Run r : plan.runs()) {
      double amperes = r.from().startsWith("Charge") ? 8 : current;
      assertThat(r.heat()).isCloseTo(r.drop() * amperes, within(1e-9));
    }
    double main =
        plan.runs().stream()
            .filter(r -> !r.from().startsWith("Charge"))
            .mapToDouble(WiringPlan.Run::drop)
            .sum();
    assertThat(plan.drop()).isCloseTo(main + current * 2 * 0.45e-3, within(1e-9));
  }

  @Test
  void theNegativeGoesThroughTheBmsOnlyInItsSchool() {
    assertThat(plan.runs()).anyMatch(r -> r.to().equals("BMS output") && !r.positive());
    Design none = Samples.withGuard(barrow, g -> g.withProtection(new Protection.None()));
    assertThat(WiringPlan.of(Chain.of(none)).runs())
        .noneMatch(r -> r.to().contains("BMS") || r.from().contains("BMS"));
    Design bare =
        Samples.withGuard(none, g -> g.withFusing(new Fusing.BmsOnly()).withMainSwitch(null));
    assertThat(WiringPlan.of(Chain.of(bare)).runs().getFirst().to()).isEqualTo("Machine +");
  }

  @Test
  void theDrawingIsAtTrueScaleAndNamesEveryPart() throws Exception {
    String svg = Diagram.of(barrow, plan).svg("Terrace barrow & more");
    Document doc =
        DocumentBuilderFactory.newInstance()
            .newDocumentBuilder()
            .parse(new ByteArrayInputStream(svg.getBytes(StandardCharsets.UTF_8)));
    Element root = doc.getDocumentElement();
    assertThat(root.getAttribute("width")).isEqualTo("270mm");
    assertThat(root.getAttribute("viewBox")).isEqualTo("0 0 270 104");
    assertThat(root.getTextContent())
        .contains("Main fuse", "60 A", "Switch", "Pre-charge", "BMS", "Machine", "Charge port");
    assertThat(doc.getElementsByTagName("rect").getLength())
        .isEqualTo(Diagram.of(barrow, plan).boxes().size());
  }

  @Test
  void theDrawingShowsWhatGuardsTheChargeLead() {
    assertThat(Diagram.of(barrow, plan).svg("Barrow")).contains("15 A fuse after 0.10 m");
    Design bare = Samples.withGuard(barrow, g -> g.withChargePort(g.chargePort().withFuse(null)));
    assertThat(Diagram.of(bare, WiringPlan.of(Chain.of(bare))).svg("Barrow"))
        .contains("no fuse of its own");
  }

  @Test
  void boxesDoNotOverlapAndStayOnTheSheet() {
    var boxes = Diagram.of(barrow, plan).boxes();
    for (int a = 0; a < boxes.size(); a++) {
      Diagram.Box p = boxes.get(a);
      assertThat(p.x() + p.width()).isLessThanOrEqualTo(Diagram.WIDTH);
      assertThat(p.y() + p.height()).isLessThanOrEqualTo(Diagram.HEIGHT);
      for (int b = a + 1; b < boxes.size(); b++) {
        Diagram.Box q = boxes.get(b);
        boolean apart =
            p.x() + p.width() <= q.x()
                || q.x() + q.width() <= p.x()
                || p.y() + p.height() <= q.y()
                || q.y() + q.height() <= p.y();
        assertThat(apart).as(p.name() + " and " + q.name()).isTrue();
      }
    }
  }
}
