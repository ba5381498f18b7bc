package hammerman.app;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import hammerman.chain.Layout;
import hammerman.design.Design;
import hammerman.finding.Station;
import hammerman.fit.FitPlan;
import hammerman.fit.Joining;
import hammerman.fit.Placing;
import hammerman.fit.Point;
import hammerman.fit.Style;
import hammerman.heat.HeatMap;
import hammerman.interconnect.Network;
import hammerman.pack.ConductorMaterial;
import hammerman.pack.Joint;
import hammerman.pack.TakeOff;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Arrays;
import java.util.List;
import java.util.Objects;
import java.util.function.UnaryOperator;
import javafx.scene.control.Slider;
import org.junit.jupiter.api.Test;

/** Packs of other forms than the worked example's, at station Fit of the real window. */
class FormsOfPackTest extends AtTheDesk {
  private void start(String answer, UnaryOperator<Design> change) {
    desk.example();
    Desk.fx(
        () -> {
          desk.session.editDesign("set up", Station.FIT, change);
          return null;
        });
    desk.view(Station.FIT, "box");
    desk.until(() -> desk.text("#answer").startsWith(answer));
  }

  private Layout layout() {
    return Desk.fx(() -> desk.session.forecastProperty().get().layout().orElseThrow());
  }

  private Network network() {
    return layout().solved().orElseThrow().network();
  }

  /** Words of DXF text: a slot with round ends, 300 by 100 mm, and a post of 20 mm. */
  private static final String SLOT =
      "0 SECTION 2 ENTITIES 0 LINE 10 50 20 0 11 300 21 0 0 ARC 10 300 20 50 40 50 50 270 51 90 0"
          + " LINE 10 300 20 100 11 50 21 100 0 ARC 10 50 20 50 40 50 50 90 51 270 0 CIRCLE 10 175"
          + " 20 50 40 10 0 ENDSEC 0 EOF";

  @Test
  void aSlotDrawnWithArcsIsFilledAroundItsPost() throws Exception {
    start("10S3P fits", d -> d.withCounts(10, 3));
    Path file = home.resolve("slot.dxf");
    Files.writeString(file, SLOT.replace(' ', '\n'));
    desk.lay(file);
    desk.press("#import-outline");
    desk.until(() -> desk.text("#answer").startsWith("10S3P fits"));
    assertThat(plan().boxes().getFirst().keepOuts()).hasSize(1);
    Placing placing = layout().arrangement().placing();
    Point post = new Point(0.175, 0.05);
    for (int k = 0; k < placing.places().size(); k++) {
      assertThat(placing.places().get(k).to(post)).isGreaterThan(0.0205);
    }
    whole("slot");
  }

  @Test
  void pouchesAreFittedFromNothing() {
    desk.example();
    Desk.fx(
        () -> {
          desk.session.editDesign(
              "set up",
              Station.FIT,
              d ->
                  d.withCell(desk.session.library().find("hp50").orElseThrow())
                      .withCounts(6, 2)
                      .withFit(null));
          return null;
        });
    desk.go(Station.FIT);
    desk.until(() -> desk.text("#answer").startsWith("Not begun"));
    whole("pouch-begin");
    desk.press("#begin-fit");
    desk.view(Station.FIT, "box");
    desk.type("#corners", "0 0; 60 0; 60 140; 0 140");
    desk.type("#gap-between-cells", "1");
    desk.until(() -> desk.text("#answer").startsWith("6S2P fits"));
    whole("pouch");
    desk.view(Station.FIT, "strips");
    desk.press("#face-both");
    desk.until(() -> network().current() > 0);
    whole("pouch-strips");
    assertThat(network().residual()).isLessThan(1e-9);
  }

  @Test
  void twoBoxesAreJoinedByOneFlexibleLink() {
    start("10S4P fits", d -> d.withCounts(10, 4));
    desk.type("#corners", "0 0; 150 0; 150 110; 0 110");
    desk.press("#add-box");
    desk.until(() -> desk.text("#answer").contains("are joined"));
    assertThat(network().links()).hasSize(1);
    assertThat(network().links().getFirst().strip().text()).isEqualTo("1 × 10 mm copper");
    whole("two-boxes");
    desk.press("#next-sheet");
    assertThat(desk.text("#next-sheet")).startsWith("Box 2 of 2");
    desk.view(Station.FIT, "heat");
    desk.until(() -> texts("#heat-facts").size() > 6);
    whole("two-boxes-heat");
  }

  @Test
  void layersHeatEachOther() {
    start("13S6P fits", d -> d);
    desk.type("#corners", "0 0; 190 0; 190 150; 0 150");
    desk.type("#depth", "150");
    desk.until(() -> desk.text("#answer").contains("are joined"));
    whole("layers");
    desk.view(Station.FIT, "heat");
    desk.until(() -> texts("#heat-facts").size() > 6);
    Desk.fx(
        () -> {
          Slider slider = desk.find("#heat-time", Slider.class);
          slider.requestFocus();
          slider.setValue(slider.getMax() / 2);
          return null;
        });
    desk.until(() -> desk.text("#heat-moment").startsWith("After 2 h"));
    whole("layers-heat");
    HeatMap map =
        Desk.fx(() -> desk.session.forecastProperty().get().thermal().map().orElseThrow());
    assertThat(map.imbalance()).isCloseTo(0, within(1e-3));
  }

  @Test
  void wiredBlocksShowTheirLinksAndWhatTheyCost() {
    start("13S6P fits", d -> d);
    double touching = network().extraResistance();
    desk.view(Station.FIT, "groups");
    desk.choose("#joined-by", Joining.WIRED);
    desk.until(() -> desk.text("#answer").contains("are joined"));
    desk.view(Station.FIT, "strips");
    desk.press("#face-both");
    desk.until(() -> network().links().size() == 12);
    whole("wired");
    double copper = network().extraResistance();
    assertThat(copper).isNotEqualTo(touching);
    desk.type("#strip-of-links", "0.2x8 nickel");
    desk.until(() -> network().extraResistance() > copper * 1.5);
    desk.choose("#terminals", Joint.SCREWED);
    desk.until(() -> network().contactHeat() > 0);
  }

  @Test
  void thinStripsOnASteadyPullHeatOneCellTooMuch() {
    start(
        "13S6P fits",
        d ->
            d.withFit(oneCell(d))
                .withDuty(
                    d.duty()
                        .withTask(new hammerman.duty.Task.ByTime(1200, 900))
                        .withSurroundings(d.duty().surroundings().withHottestInUse(273.15 + 50)))
                .withPack(
                    d.pack()
                        .withStrip(
                            hammerman.pack.Strip.plain(
                                ConductorMaterial.NICKEL, 0.05e-3, 5e-3, 1))));
    desk.until(() -> desk.judgements().contains("fit.heat"));
    desk.view(Station.FIT, "heat");
    desk.until(() -> texts("#fit-changes").contains("A fan"));
    whole("hot-cell");
    desk.view(Station.FIT, "strips");
    desk.type("#strip-everywhere", "0.3x10 copper");
    desk.until(() -> !desk.judgements().contains("fit.heat"));
  }

  @Test
  void whatIsBrokenByHandIsShownAndTakenBack() {
    start("13S6P fits", d -> d);
    desk.view(Station.FIT, "groups");
    int[] before = layout().arrangement().attempted().orElseThrow().group().clone();
    Desk.fx(
        () -> {
          var g = layout().arrangement().attempted().orElseThrow();
          desk.session.edit(
              "move",
              Station.FIT,
              p ->
                  p.withDesign(
                      p.design()
                          .withFit(
                              plan().arranged(g.exchanged(g.members(0)[0], g.members(9)[0])))));
          return null;
        });
    desk.until(() -> desk.text("#answer").startsWith("Moves by hand"));
    whole("broken");
    assertThat(desk.judgements()).contains("fit.moves");
    desk.press("#unswap-cells");
    desk.until(() -> desk.text("#answer").startsWith("13S6P fits"));
    assertThat(layout().arrangement().attempted().orElseThrow().group()).isEqualTo(before);
    assertThat(Arrays.asList(Style.values())).contains(plan().style());
    assertThat(List.of(plan().locked())).hasSize(1);
  }

  private static FitPlan oneCell(Design d) {
    FitPlan fit = Objects.requireNonNull(d.fit());
    return fit.withConductors(fit.conductors().withTakeOff(TakeOff.ONE_CELL));
  }

  /** Once laid out, nothing is cut short or outside in this state of the sheet. */
  private void whole(String name) {
    desk.until(() -> desk.outside().isEmpty() && desk.cut().isEmpty());
    assertThat(desk.cut()).as(name).isEmpty();
  }
}
