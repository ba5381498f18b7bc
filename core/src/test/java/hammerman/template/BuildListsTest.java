package hammerman.template;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import de.siegmar.fastcsv.reader.CsvReader;
import de.siegmar.fastcsv.reader.NamedCsvRecord;
import hammerman.Samples;
import hammerman.chain.Layout;
import hammerman.design.Design;
import hammerman.fit.Joining;
import hammerman.forecast.Forecast;
import java.util.List;
import java.util.Objects;
import org.junit.jupiter.api.Test;

/** The lists as a spreadsheet reads them. */
class BuildListsTest {
  private static Work work(Design d) {
    return Work.of(
        "barrow", d.pack(), Forecast.of(d).layout().flatMap(Layout::solved).orElseThrow());
  }

  private static List<NamedCsvRecord> rows(Work work, String what) {
    return CsvReader.builder().ofNamedCsvRecord(BuildLists.csv(work)).stream()
        .filter(r -> r.getField("what").equals(what))
        .toList();
  }

  private static double sum(List<NamedCsvRecord> rows, String column) {
    return rows.stream().mapToDouble(r -> Double.parseDouble(r.getField(column))).sum();
  }

  @Test
  void everyCellIsListedWhereItStandsAndHowItIsTurned() {
    Work work = work(Samples.barrow());
    List<NamedCsvRecord> cells = rows(work, "cell");
    assertThat(cells).hasSize(78);
    for (int g = 1; g <= 13; g++) {
      String group = Integer.toString(g);
      assertThat(cells)
          .filteredOn(r -> r.getField("group").equals(group))
          .hasSize(6)
          .extracting(r -> r.getField("face"))
          .containsOnly(g % 2 == 1 ? "positive up" : "negative up");
    }
    for (NamedCsvRecord r : cells) {
      assertThat(Double.parseDouble(r.getField("x_mm"))).isBetween(10.0, 275.0);
      assertThat(Double.parseDouble(r.getField("y_mm"))).isBetween(10.0, 168.0);
    }
  }

  @Test
  void stripsAddUpToTheCutList() {
    Work work = work(Samples.barrow());
    List<NamedCsvRecord> strips = rows(work, "strip");
    double listed = sum(strips, "length_mm") / 1e3;
    double cut = CutList.of(work).rows().stream().mapToDouble(CutList.Row::total).sum();
    assertThat(listed).isCloseTo(cut, within(strips.size() * 0.05e-3));
    assertThat(strips).extracting(r -> r.getField("made of")).containsOnly("0.15 × 8 mm nickel");
    assertThat(strips).extracting(r -> r.getField("face")).contains("upper", "lower");
    assertThat(rows(work, "balance lead")).hasSize(14);
    assertThat(rows(work, "link")).isEmpty();
  }

  @Test
  void wiredBlocksListTheirLinks() {
    Design barrow = Samples.barrow();
    Design wired = barrow.withFit(Objects.requireNonNull(barrow.fit()).withJoining(Joining.WIRED));
    Work work = work(wired);
    List<NamedCsvRecord> links = rows(work, "link");
    assertThat(links).hasSize(12);
    assertThat(sum(links, "length_mm") / 1e3)
        .isCloseTo(
            work.solved().network().links().stream().mapToDouble(s -> s.length()).sum(),
            within(1e-3));
    assertThat(links).extracting(r -> r.getField("made of")).containsOnly("1 × 10 mm copper");
  }
}
