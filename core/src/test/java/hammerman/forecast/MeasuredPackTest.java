package hammerman.forecast;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import hammerman.Samples;
import hammerman.design.Design;
import hammerman.finding.Finding;
import hammerman.pack.MatchedCells;
import hammerman.pack.Pack;
import hammerman.project.Project;
import hammerman.project.ProjectDocument;
import hammerman.project.Shipped;
import hammerman.project.UnreadableProject;
import hammerman.simulation.CellPopulation;
import hammerman.simulation.CellTrace;
import hammerman.simulation.Day;
import hammerman.simulation.Outcome;
import hammerman.simulation.Run;
import hammerman.unit.InvalidValue;
import java.util.ArrayList;
import java.util.List;
import java.util.Random;
import java.util.function.IntToDoubleFunction;
import org.jspecify.annotations.Nullable;
import org.junit.jupiter.api.Test;

/** A pack of cells that were measured: its forecast is that of these cells. */
class MeasuredPackTest {
  /** A machine that cuts out late, so that the weakest group ends it. */
  private static final Design LATE =
      Samples.barrow()
          .withFit(null)
          .withDuty(
              Samples.barrow()
                  .duty()
                  .withMachine(Samples.barrow().duty().machine().withCutOutVoltage(28)));

  /** Groups of six cells of 24 mΩ, with a capacity for each group. */
  private static MatchedCells groups(IntToDoubleFunction ampereHours, @Nullable Double ohms) {
    List<MatchedCells.Group> groups = new ArrayList<>();
    for (int g = 0; g < 13; g++) {
      List<MatchedCells.Cell> cells = new ArrayList<>();
      for (int k = 0; k < 6; k++) {
        cells.add(
            new MatchedCells.Cell(
                "c" + g + "." + k, ampereHours.applyAsDouble(g) + 0.02 * (k - 2.5), ohms));
      }
      groups.add(new MatchedCells.Group(cells));
    }
    return new MatchedCells(groups, true);
  }

  private static Design with(MatchedCells cells) {
    return LATE.withMatched(cells);
  }

  @Test
  void theWeakestGroupEndsTheRunAndIsNamed() {
    Forecast f = Forecast.of(with(groups(g -> g == 4 ? 3.6 : 4.0, 0.024)));
    Outcome end = f.reach().typical().outcome();
    assertThat(end).isInstanceOf(Outcome.Empty.class);
    Outcome.Place place = ((Outcome.Empty) end).place();
    assertThat(place.group()).isEqualTo(4);
    assertThat(place.words()).isEqualTo("group 5");
    Forecast level = Forecast.of(with(groups(g -> 4.0 - 0.4 / 13, 0.024)));
    assertThat(f.design().pack().capacity())
        .as("the same cells in all")
        .isCloseTo(level.design().pack().capacity(), within(1e-9));
    assertThat(chargeOut(f)).isCloseTo(6 * 3.6, within(0.15)).isLessThan(0.94 * chargeOut(level));
  }

  @Test
  void measuredCellsAreToldApartBeforeTheyHaveAPlace() {
    Forecast f = Forecast.of(with(groups(g -> g == 4 ? 3.6 : 4.0, 0.024)));
    EveryCell each = EveryCell.of(f).orElseThrow();
    for (Day.Kind kind : Day.Kind.values()) {
      CellTrace cells = each.day(kind).run().cells().orElseThrow();
      assertThat(cells.lowest().place().group()).as("lowest, %s", kind).isEqualTo(4);
      double[] first = cells.voltage().getFirst();
      double[] last = cells.voltage().getLast();
      assertThat(first[0] - first[4]).isLessThan(0.01);
      assertThat(last[0] - last[4]).as("apart at the end, V").isGreaterThan(0.02);
    }
    assertThat(EveryCell.of(Forecast.of(LATE))).as("neither measured nor laid out").isEmpty();
  }

  private static double chargeOut(Forecast f) {
    var totals = f.reach().typical().totals();
    return totals.delivered() - totals.regenerated();
  }

  @Test
  void aGroupStandsForItsCellsUntilTheyAreWantedApart() {
    Random random = new Random(8);
    Design d = with(groups(g -> 3.9 + 0.1 * random.nextDouble(), 0.024));
    Forecast f = Forecast.of(d);
    Run quick = Onward.in(f.chain(), f.onward(), 298.15, 5).run();
    Run each =
        Onward.in(f.chain(), f.onward(), 298.15, 5).with(CellPopulation.of(d.pack()).each()).run();
    assertThat(quick.endTime()).isCloseTo(each.endTime(), within(0.002 * each.endTime()));
    assertThat(quick.extremes().lowestVoltage())
        .isCloseTo(each.extremes().lowestVoltage(), within(0.05));
  }

  @Test
  void cellsThatAreAllTheirMeanAreThatOfTheirType() {
    Design plain = LATE;
    double rated = plain.pack().cell().capacity();
    List<MatchedCells.Group> same = new ArrayList<>();
    for (int g = 0; g < 13; g++) {
      List<MatchedCells.Cell> cells = new ArrayList<>();
      for (int k = 0; k < 6; k++) {
        cells.add(new MatchedCells.Cell(g + "-" + k, rated, null));
      }
      same.add(new MatchedCells.Group(cells));
    }
    Design measured = plain.withMatched(new MatchedCells(same, false));
    assertThat(measured.pack().cell()).isEqualTo(plain.pack().cell());
    assertThat(Forecast.of(measured).onward().endTime())
        .isCloseTo(Forecast.of(plain).onward().endTime(), within(1e-6));
  }

  @Test
  void theCellIsTheMeanOfThese() {
    Pack pack = with(groups(g -> 3.5, 0.030)).pack();
    assertThat(pack.cell().capacity()).isCloseTo(3.5, within(1e-9));
    assertThat(pack.cell().r10()).isCloseTo(0.030, within(1e-9));
    assertThat(pack.cell().health()).isNotNull();
    MatchedCells ac = new MatchedCells(groups(g -> 3.5, 0.015).groups(), false);
    assertThat(with(ac).pack().cell().r10())
        .as("1 kHz says nothing of 10 s")
        .isEqualTo(LATE.pack().cell().r10());
  }

  @Test
  void theyCountWhileTheCountsAreTheirs() {
    Design d = with(groups(g -> g == 4 ? 3.6 : 4.0, 0.024));
    assertThat(d.withCounts(13, 5).pack().matched()).isEmpty();
    assertThat(d.withCounts(13, 5).withCounts(13, 6).pack().matched()).isPresent();
  }

  @Test
  void cellsOfAnotherTypeAreOtherCells() {
    Design d = with(groups(g -> 4.0, 0.024));
    assertThat(d.withCell(d.pack().cell().withPrice(9)).pack().matched()).isPresent();
    assertThat(d.withCell(Samples.cell("e18650")).pack().measured()).isNull();
  }

  @Test
  void judgementsAreOfTheseCells() {
    Design d = with(groups(g -> g == 4 ? 3.6 : 4.0, null));
    List<Finding> findings = Forecast.of(d).judgements();
    assertThat(findings)
        .anySatisfy(
            f -> {
              assertThat(f.title()).isEqualTo("The groups are not level");
              assertThat(f.why()).contains("group 5").contains("As measured");
            });
    assertThat(findings).anyMatch(f -> f.title().equals("Cells without a measured resistance"));
    assertThat(findings).noneMatch(f -> f.title().startsWith("Used cells differ"));
    assertThat(Forecast.of(with(groups(g -> 4.0, 0.024))).judgements())
        .noneMatch(f -> f.title().equals("The groups are not level"));
  }

  @Test
  void theyAreKeptInTheDocument() throws UnreadableProject {
    Project p =
        Shipped.example(Shipped.Example.TERRACE_BARROW).withDesign(with(groups(g -> 3.9, 0.0245)));
    Project read = ProjectDocument.parse(ProjectDocument.bytes(p), "p.json");
    assertThat(read.design().pack().measured()).isEqualTo(p.design().pack().measured());
  }

  @Test
  void aCellIsInOnePlaceOnly() {
    MatchedCells.Cell c = new MatchedCells.Cell("A1", 2, 0.03);
    MatchedCells.Group g = new MatchedCells.Group(List.of(c));
    assertThatThrownBy(() -> new MatchedCells(List.of(g, g), true))
        .isInstanceOf(InvalidValue.class)
        .hasMessageContaining("A1")
        .hasMessageContaining("one place");
    assertThatThrownBy(() -> new MatchedCells.Cell("B", Double.NaN, null))
        .isInstanceOf(InvalidValue.class)
        .hasMessageContaining("cell B");
  }

  @Test
  void weakCellsGoToTheCoolPlacesOfTheirGroup() {
    Design laid = Samples.barrow().withMatched(Samples.cells(13, 6));
    Forecast f = Forecast.of(laid);
    MatchedCells before = laid.pack().matched().orElseThrow();
    MatchedCells after = Placement.coolest(f, before).orElseThrow();
    double[] warmth = f.thermal().map().orElseThrow().means();
    int[] places = f.layout().orElseThrow().solved().orElseThrow().warm(f.design()).order();
    for (int g = 0; g < 13; g++) {
      List<MatchedCells.Cell> cells = after.groups().get(g).cells();
      assertThat(cells).containsExactlyInAnyOrderElementsOf(before.groups().get(g).cells());
      for (int a = 0; a < 6; a++) {
        for (int b = 0; b < 6; b++) {
          if (cells.get(a).capacity() < cells.get(b).capacity()) {
            assertThat(warmth[places[6 * g + a]]).isLessThanOrEqualTo(warmth[places[6 * g + b]]);
          }
        }
      }
    }
    assertThat(Placement.coolest(Forecast.of(laid.withFit(null)), before)).isEmpty();
  }
}
