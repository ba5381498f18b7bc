package hammerman.cli;

import hammerman.chain.SagPoint;
import hammerman.finding.Finding;
import hammerman.finding.Severity;
import hammerman.forecast.EveryCell;
import hammerman.forecast.Forecast;
import hammerman.forecast.Headline;
import hammerman.forecast.Workings;
import hammerman.project.Project;
import hammerman.project.Shipped;
import hammerman.remedy.Remedy;
import hammerman.search.Search;
import hammerman.simulation.Day;
import hammerman.unit.Figures;
import hammerman.unit.Unit;
import java.util.Optional;
import java.util.function.Function;
import java.util.stream.Collectors;

/** A forecast in words. */
final class TextReport {
  private TextReport() {}

  static long stops(Forecast f) {
    return f.judgements().stream().filter(j -> j.severity() == Severity.STOP).count();
  }

  static String full(Project project, Forecast f) {
    StringBuilder text = new StringBuilder();
    var pack = f.design().pack();
    text.append(project.name()).append(" · ").append(project.variant().name()).append('\n');
    line(text, "Stack", pack.counts() + " " + pack.cell().name());
    line(
        text,
        "Voltage",
        figure(Headline.NOMINAL_VOLTAGE, f)
            + " nominal, "
            + figure(Headline.FULL_VOLTAGE, f)
            + " full");
    line(text, "Capacity", figure(Headline.CAPACITY, f) + ", " + figure(Headline.ENERGY, f));
    line(text, "Mass, cells", figure(Headline.MASS, f) + ", " + figure(Headline.COST, f));
    line(text, "Duty", outcome(f) + " after " + figure(Headline.DUTY_TIME, f));
    Optional<EveryCell> inPlace = EveryCell.of(f);
    for (Day d : inPlace.map(EveryCell::days).orElse(f.days())) {
      line(text, d.kind().label(), Figures.of(d.air(), Unit.CELSIUS, 0) + ": " + d.told());
    }
    inPlace.ifPresent(c -> line(text, "Every cell", c.words(Day.Kind.HOTTEST)));
    line(text, "Until it ends", figure(Headline.RUN_TIME, f) + range(f) + " on a typical day");
    line(text, "  worst", Workings.otherDays(Headline.RUN_TIME, f) + worstRange(f));
    line(text, "Hottest", figure(Headline.PEAK_TEMPERATURE, f));
    line(
        text,
        "Charge",
        figure(Headline.CHARGE_TIME, f)
            + " in the cold, "
            + Workings.otherDays(Headline.CHARGE_TIME, f));
    line(
        text, "Life", figure(Headline.LIFE, f) + ", mostly limited by " + f.life().limit().words());
    text.append("Sag at ")
        .append(Figures.of(f.chain().demand().peak(), Unit.AMPERE))
        .append(" (at once, 10 s, settled)\n");
    for (SagPoint p : f.chain().sag()) {
      line(
          text,
          "  " + Figures.of(p.soc(), Unit.PERCENT, 0),
          Figures.fixed(p.ohmic(), 1)
              + "  "
              + Figures.fixed(p.tenSeconds(), 1)
              + "  "
              + Figures.of(p.settled(), Unit.VOLT, 1));
    }
    return text.append(judgements(project, f)).toString();
  }

  private static String worstRange(Forecast f) {
    return f.range() > 0 ? ", " + Workings.otherDays(Headline.RANGE, f) : "";
  }

  static String plan(Search search, int top) {
    if (search.candidates().isEmpty()) {
      return "None of %d pairs of cell and counts serves this duty; see what stops the present one with check."
          .formatted(search.tried());
    }
    StringBuilder text = new StringBuilder();
    text.append(
        "%d of %d pairs of cell and counts serve the duty; * marks those that nothing beats in everything%n"
            .formatted(search.candidates().size(), search.tried()));
    text.append(
        "  %-24s %-8s %8s %8s %8s %7s %7s %8s%n"
            .formatted("cell", "counts", "Wh", "kg", "cells", "years", "left", "hottest"));
    search.candidates().stream()
        .limit(top)
        .forEach(
            c ->
                text.append(
                    "%s %-24s %-8s %8s %8s %8s %7s %7s %8s%n"
                        .formatted(
                            c.best() ? "*" : " ",
                            c.design().pack().cell().name(),
                            c.counts(),
                            Figures.number(Unit.WATT_HOUR.fromCore(c.design().pack().energy())),
                            Figures.number(c.mass()),
                            Figures.fixed(c.cost(), 0),
                            Figures.fixed(c.years(), 1),
                            Figures.of(c.margin(), Unit.PERCENT, 0),
                            Figures.of(c.peakTemperature(), Unit.CELSIUS, 0))));
    return text.toString().stripTrailing();
  }

  /** The judgements with what cures each. */
  static String check(Project project, Forecast f) {
    return judgements(
        project,
        f,
        j ->
            Remedy.of(f, j, Shipped.parts()).stream()
                .map(r -> "  Do this: %s (%s)%n".formatted(r.what(), r.effect()))
                .collect(Collectors.joining()));
  }

  static String judgements(Project project, Forecast f) {
    return judgements(project, f, j -> "");
  }

  private static String judgements(Project project, Forecast f, Function<Finding, String> more) {
    if (f.judgements().isEmpty()) {
      return "Nothing to object to.";
    }
    StringBuilder text = new StringBuilder();
    for (Finding j : f.judgements()) {
      text.append(
          "%n%s: %s [%s]%n  %s%n  %s%n"
              .formatted(j.severity().word(), j.title(), j.id(), j.why(), j.fix()));
      text.append(more.apply(j));
      if (!j.caution().isEmpty()) {
        text.append("  Mind: %s%n".formatted(j.caution()));
      }
      project
          .variant()
          .reasonFor(j.id())
          .ifPresent(r -> text.append("  Acknowledged: %s%n".formatted(r)));
    }
    return text.toString().stripTrailing();
  }

  private static String outcome(Forecast f) {
    if (f.duty().outcome().complete() && !f.duty().served()) {
      return "not served: a current limit withholds %s of the energy"
          .formatted(Figures.of(f.duty().totals().withheldShare(), Unit.PERCENT, 0));
    }
    return f.duty().served() ? "served" : "ends early (" + f.duty().outcome().key() + ")";
  }

  private static String range(Forecast f) {
    return f.range() > 0 ? ", " + figure(Headline.RANGE, f) : "";
  }

  private static String figure(Headline headline, Forecast f) {
    return Workings.figure(headline, f);
  }

  private static void line(StringBuilder text, String name, String value) {
    text.append("%-16s%s%n".formatted(name, value));
  }
}
