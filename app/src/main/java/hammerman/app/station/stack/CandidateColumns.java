package hammerman.app.station.stack;

import hammerman.app.control.Column;
import hammerman.build.Equipped;
import hammerman.search.Candidate;
import hammerman.unit.Figures;
import hammerman.unit.Unit;
import java.util.Comparator;
import java.util.List;

/** What is said of each stack that serves, column by column. */
final class CandidateColumns {
  static final String COST = "Cost";
  static final String ALL_COST = "All cost";

  private CandidateColumns() {}

  /** Returns them; those of the parts are empty until the parts are worked out. */
  static List<Column<Candidate>> of(Foremost foremost) {
    return List.of(
        Column.words("Cell", 140, c -> (c.best() ? "● " : "○ ") + c.design().pack().cell().name()),
        Column.figures(
            "Counts",
            58,
            Candidate::counts,
            Comparator.comparingInt(c -> c.design().pack().cells())),
        Column.figures(
            "Wh",
            50,
            c -> Figures.number(Unit.WATT_HOUR.fromCore(c.design().pack().energy())),
            Comparator.comparingDouble(c -> -c.design().pack().energy())),
        Column.figures(
            "kg", 52, c -> Figures.number(c.mass()), Comparator.comparingDouble(Candidate::mass)),
        Column.figures(
            COST, 46, c -> Figures.fixed(c.cost(), 0), Comparator.comparingDouble(Candidate::cost)),
        Column.figures(
            "Years",
            46,
            c -> Figures.fixed(c.years(), 1),
            Comparator.comparingDouble(c -> -c.years())),
        Column.figures(
            "Left",
            50,
            c -> Figures.of(c.margin(), Unit.PERCENT, 0),
            Comparator.comparingDouble(c -> -c.margin())),
        Column.figures(
            "Hottest",
            58,
            c -> Figures.of(c.peakTemperature(), Unit.CELSIUS, 0),
            Comparator.comparingDouble(Candidate::peakTemperature)),
        Column.figures(
            "Sag to",
            60,
            c -> Figures.of(c.sag(), Unit.VOLT, 1),
            Comparator.comparingDouble(c -> -c.sag())),
        Column.figures(
            ALL_COST,
            60,
            c -> foremost.of(c).map(e -> Figures.fixed(e.price(), 0)).orElse(""),
            Comparator.comparingDouble(
                c -> foremost.of(c).map(Equipped::price).orElse(Double.MAX_VALUE))),
        Column.<Candidate>words("Parts", 78, foremost::suits).styled(foremost::style));
  }
}
