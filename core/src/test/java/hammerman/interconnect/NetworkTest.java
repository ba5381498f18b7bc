package hammerman.interconnect;

import static hammerman.interconnect.Layouts.PITCH;
import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import hammerman.fit.Arrangement;
import hammerman.fit.Container;
import hammerman.fit.FitPlan;
import hammerman.fit.Grouping;
import hammerman.fit.Joining;
import hammerman.fit.Outline;
import hammerman.fit.Point;
import hammerman.pack.ConductorMaterial;
import hammerman.pack.Conductors;
import hammerman.pack.Joint;
import hammerman.pack.Strip;
import hammerman.pack.TakeOff;
import java.util.List;
import org.junit.jupiter.api.Test;

class NetworkTest {
  private static final Strip NICKEL = Strip.plain(ConductorMaterial.NICKEL, 0.15e-3, 8e-3, 1);
  private static final double R = 0.016;
  private static final double WARM = 293.15;
  private static final Outline TRIANGLE = Outline.rightTriangle(0.36, 0.30);

  /** A cell with its two contacts, Ω. */
  private static final double BRANCH = R + 2 * Joint.SCREWED.contact();

  private static Network solve(Arrangement a, Conductors led, Strip strip) {
    return Network.of(
        List.of(Layouts.box(Outline.rectangle(1, 1))),
        a,
        a.grouping().orElseThrow(),
        led,
        strip,
        R,
        20,
        WARM);
  }

  private static Network solve(Arrangement a, Container box) {
    return Network.of(
        List.of(box),
        a,
        a.grouping().orElseThrow(),
        Layouts.led(TakeOff.ONE_CELL),
        NICKEL,
        R,
        20,
        WARM);
  }

  private static Network solve(Arrangement a, TakeOff takeOff) {
    return solve(a, Layouts.led(takeOff), NICKEL);
  }

  @Test
  void twoCellsInParallelFedAtOneEndByHand() {
    // The far cell sees two strips more: i1 R = i2 (R + 2 r), i1 + i2 = 20.
    Network n = solve(Layouts.row(0, 0), TakeOff.ONE_CELL);
    double r = NICKEL.resistance(PITCH, WARM);
    double near = 20 * (BRANCH + 2 * r) / (2 * BRANCH + 2 * r);
    assertThat(n.cellCurrents()[0]).isCloseTo(near, within(1e-9));
    assertThat(n.cellCurrents()[1]).isCloseTo(20 - near, within(1e-9));
    assertThat(n.residual()).isLessThan(1e-9);
  }

  /** The lead meets the cell that is nearest to where it leaves the box, wherever that is. */
  @Test
  void theLeadMeetsTheCellNearestItsExit() {
    Arrangement a = Layouts.row(new int[6]);
    for (int nearest = 0; nearest < 6; nearest++) {
      Point exit = new Point(nearest * PITCH, 0.5 * PITCH);
      Network n = solve(a, Layouts.box(Outline.rectangle(1, 1), exit));
      for (int k = 0; k < 6; k++) {
        if (k != nearest) {
          assertThat(n.cellCurrents()[k])
              .as("cell %d with the exit at cell %d", k, nearest)
              .isLessThan(n.cellCurrents()[nearest] - 0.05);
        }
      }
    }
  }

  /** A ladder of cells: the input resistance by folding it up from the far end. */
  @Test
  void aLadderByFolding() {
    int cells = 6;
    double r = NICKEL.resistance(PITCH, WARM);
    double z = BRANCH;
    for (int k = 1; k < cells; k++) {
      double far = z + 2 * r;
      z = BRANCH * far / (BRANCH + far);
    }
    Network n = solve(Layouts.row(new int[cells]), TakeOff.ONE_CELL);
    assertThat(n.extraResistance()).isCloseTo(z - R / cells, within(1e-9));
  }

  @Test
  void symmetryOfAGroupFedAtBothEnds() {
    Network n = solve(Layouts.row(new int[6]), TakeOff.BOTH_ENDS);
    for (int k = 0; k < 3; k++) {
      assertThat(n.cellCurrents()[k]).isCloseTo(n.cellCurrents()[5 - k], within(1e-9));
    }
  }

  @Test
  void theMoreTheLeadsSpreadTheMoreEvenly() {
    Arrangement a = Layouts.row(new int[6]);
    Grouping g = a.grouping().orElseThrow();
    Network one = solve(a, TakeOff.ONE_CELL);
    Network both = solve(a, TakeOff.BOTH_ENDS);
    Network all = solve(a, TakeOff.WHOLE_GROUP);
    assertThat(one.worstShare(g)).isGreaterThan(1.3);
    assertThat(both.worstShare(g)).isBetween(1.01, 1 + (one.worstShare(g) - 1) / 2);
    assertThat(all.worstShare(g)).isCloseTo(1, within(1e-9));
    assertThat(all.heat()).isLessThan(both.heat());
    assertThat(both.heat()).isLessThan(one.heat());
    // A bar over the group leaves only the contacts.
    assertThat(all.extraResistance()).isCloseTo((BRANCH - R) / 6, within(1e-12));
  }

  @Test
  void everyGroupCarriesTheWholeCurrent() {
    Arrangement a = Layouts.arranged(Layouts.plan(TRIANGLE), 13, 6, NICKEL);
    Grouping g = a.grouping().orElseThrow();
    Network n = solve(a, TakeOff.ONE_CELL);
    for (int k = 0; k < 13; k++) {
      double sum = 0;
      for (int place : g.members(k)) {
        sum += n.cellCurrents()[place];
      }
      assertThat(sum).isCloseTo(20, within(2e-8));
    }
    assertThat(n.residual()).isLessThan(1e-9);
    Network copper =
        solve(
            a,
            Layouts.led(TakeOff.ONE_CELL),
            Strip.plain(ConductorMaterial.COPPER, 0.2e-3, 10e-3, 1));
    assertThat(strips(copper)).isLessThan(strips(n) / 4);
    assertThat(copper.extraResistance()).isLessThan(n.extraResistance());
  }

  private static double strips(Network n) {
    return n.heat() - n.contactHeat();
  }

  /** All sources alike, heat in strips and contacts is what the extra resistance takes. */
  @Test
  void theExtraResistanceAccountsForTheUnevenSharesToo() {
    Arrangement a = Layouts.arranged(Layouts.plan(TRIANGLE), 13, 6, NICKEL);
    Network n = solve(a, TakeOff.ONE_CELL);
    double cells = 0;
    for (double i : n.cellCurrents()) {
      cells += i * i * R;
    }
    double even = 20.0 * 20 * 13 / 6 * R;
    assertThat(n.extraResistance() * 20 * 20).isCloseTo(n.heat() + cells - even, within(1e-6));
  }

  @Test
  void currentsAreInProportionToThePacks() {
    Arrangement a = Layouts.row(0, 0, 1, 1);
    Network n = solve(a, TakeOff.ONE_CELL);
    Network thrice = n.at(60);
    assertThat(thrice.heat()).isCloseTo(9 * n.heat(), within(1e-9));
    assertThat(thrice.cellCurrents()[1]).isCloseTo(3 * n.cellCurrents()[1], within(1e-12));
    assertThat(thrice.worstShare(a.grouping().orElseThrow()))
        .isCloseTo(n.worstShare(a.grouping().orElseThrow()), within(1e-12));
  }

  /**
   * Two in parallel fed at one end: one piece above, one below, each with the far cell's current.
   */
  @Test
  void eachPieceOfStripByHand() {
    Network n = solve(Layouts.row(0, 0), TakeOff.ONE_CELL);
    double far = n.cellCurrents()[1];
    double r = NICKEL.resistance(PITCH, WARM);
    assertThat(n.segments()).hasSize(2);
    assertThat(n.segments())
        .extracting(Network.Segment::top)
        .containsExactlyInAnyOrder(true, false);
    for (Network.Segment s : n.segments()) {
      assertThat(Math.abs(s.current())).isCloseTo(far, within(1e-9));
      assertThat(s.heat()).isCloseTo(far * far * r, within(1e-9));
      assertThat(s.density()).isCloseTo(far / (0.15e-3 * 8e-3), within(1e-3));
      assertThat(s.top()).isEqualTo(s.plate() == 1);
    }
    double contacts = 2 * Joint.SCREWED.contact() * (20 - far) * (20 - far);
    contacts += 2 * Joint.SCREWED.contact() * far * far;
    assertThat(n.contactHeat()).isCloseTo(contacts, within(1e-9));
    assertThat(n.heat()).isCloseTo(contacts + 2 * far * far * r, within(1e-9));
    assertThat(n.densest()).isCloseTo(far / (0.15e-3 * 8e-3), within(1e-3));
    Network twice = n.at(40);
    assertThat(twice.contactHeat()).isCloseTo(4 * n.contactHeat(), within(1e-9));
    assertThat(twice.segments().getFirst().heat())
        .isCloseTo(4 * n.segments().getFirst().heat(), within(1e-9));
  }

  /** A link joins the two nearest cells of neighbouring groups, wherever they lie in the row. */
  @Test
  void aLinkJoinsTheNearestTwo() {
    Arrangement touching = Layouts.row(0, 0, 0, 1, 1, 1);
    Arrangement wired =
        new Arrangement(touching.placing(), Joining.WIRED, "", List.of(), touching.attempted());
    Network n = solve(wired, TakeOff.WHOLE_GROUP);
    Network.Segment link = n.links().getFirst();
    assertThat(List.of(link.from(), link.to())).containsExactlyInAnyOrder(2, 3);
    Network narrow = solve(Layouts.row(0, 0, 0, 1, 1, 1), TakeOff.WHOLE_GROUP);
    assertThat(narrow.links()).isEmpty();
  }

  @Test
  void aPlateOfItsOwnStripCarriesMoreForTheSameWarmth() {
    Arrangement a = Layouts.row(0, 0, 1, 1);
    Network before = solve(a, TakeOff.ONE_CELL);
    Network.Segment worst = before.hardestWorked().orElseThrow();
    Conductors doubled = Layouts.led(TakeOff.ONE_CELL).with(worst.plate(), NICKEL.withLayers(2));
    Network after = solve(a, doubled, NICKEL);
    double load =
        after.segments().stream()
            .filter(s -> s.plate() == worst.plate())
            .mapToDouble(Network.Segment::load)
            .max()
            .orElseThrow();
    assertThat(load).isLessThan(worst.load() * 0.75);
    assertThat(doubled.without(worst.plate())).isEqualTo(Layouts.led(TakeOff.ONE_CELL));
  }

  /** Two groups of one cell, joined by a link instead of a strip: 2 R + link in series. */
  @Test
  void aLinkLiesInSeries() {
    Arrangement touching = Layouts.row(0, 1);
    Arrangement wired =
        new Arrangement(touching.placing(), Joining.WIRED, "", List.of(), touching.attempted());
    Conductors led = Layouts.led(TakeOff.ONE_CELL);
    Network n = solve(wired, led, NICKEL);
    assertThat(n.links()).hasSize(1);
    Network.Segment link = n.links().getFirst();
    assertThat(link.current()).isCloseTo(20, within(1e-9));
    assertThat(link.length()).isGreaterThan(PITCH);
    double extra = led.link().resistance(link.length(), WARM) + 4 * Joint.SCREWED.contact();
    assertThat(n.extraResistance()).isCloseTo(extra, within(1e-9));
  }

  @Test
  void platesCoverTheTerminalsTheyJoinAndNoOthers() {
    FitPlan plan = Layouts.plan(TRIANGLE);
    Arrangement a = Layouts.arranged(plan, 13, 6, NICKEL);
    Grouping g = a.grouping().orElseThrow();
    List<Plate> plates = Plate.of(a.placing(), solve(a, TakeOff.ONE_CELL));
    assertThat(plates).extracting(Plate::number).hasSize(14);
    for (Plate p : plates) {
      for (int k = 0; k < g.places(); k++) {
        int group = g.at(k);
        boolean joined = group >= 0 && (group == p.number() || group + 1 == p.number());
        if (group >= 0) {
          assertThat(Shapes.distance(p, a.placing().places().get(k)))
              .as("plate %d, group %d", p.number(), group)
              .satisfies(
                  d -> {
                    if (joined) {
                      assertThat(d).isZero();
                    } else {
                      assertThat(d).isGreaterThan(3e-3);
                    }
                  });
        }
      }
    }
  }

  /** Out along one way and on at a right angle: two pieces, however the strips are counted. */
  @Test
  void aStripThatTurnsIsTwoPieces() {
    List<Point> corner =
        List.of(
            new Point(2 * PITCH, 0),
            new Point(0, 0),
            new Point(PITCH, 0),
            new Point(2 * PITCH, 2 * PITCH),
            new Point(2 * PITCH, PITCH));
    Arrangement a = Layouts.at(corner, 0, 0, 0, 0, 0);
    Plate p = Plate.of(a.placing(), solve(a, TakeOff.ONE_CELL)).getFirst();
    assertThat(p.runs()).hasSize(2);
    assertThat(p.runs()).allSatisfy(r -> assertThat(r).isCloseTo(2 * PITCH + 8e-3, within(1e-9)));
    // The square where they cross counts once.
    assertThat(p.area()).isCloseTo(2 * (2 * PITCH + 8e-3) * 8e-3 - 64e-6, within(1e-9));
  }

  @Test
  void straightStripsAreOnePiece() {
    Plate p =
        Plate.of(Layouts.row(0, 0, 0).placing(), solve(Layouts.row(0, 0, 0), TakeOff.ONE_CELL))
            .getFirst();
    assertThat(p.runs()).hasSize(1);
    assertThat(p.runs().getFirst()).isCloseTo(2 * PITCH + 8e-3, within(1e-9));
    assertThat(p.area()).isCloseTo((2 * PITCH + 8e-3) * 8e-3, within(1e-9));
    assertThat(p.mass()).isCloseTo(p.area() * 0.15e-3 * 8900, within(1e-9));
    assertThat(p.top()).isEqualTo(p.number() == 1);
    assertThat(p.shapes().getFirst()).doesNotHaveDuplicates();
  }
}
