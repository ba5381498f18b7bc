package hammerman.app.station.sort;

import hammerman.app.control.Beside;
import hammerman.app.control.Column;
import hammerman.app.control.Form;
import hammerman.app.control.RecordTable;
import hammerman.app.control.Words;
import hammerman.app.station.Page;
import hammerman.finding.Station;
import hammerman.project.Project;
import hammerman.sort.CellState;
import hammerman.sort.RejectRules;
import hammerman.sort.SampleSize;
import hammerman.sort.SortPlan;
import hammerman.sort.Sorting;
import hammerman.sort.Sorting.Entry;
import hammerman.unit.Figures;
import hammerman.unit.Unit;
import java.util.List;
import java.util.Locale;
import java.util.function.Function;
import java.util.stream.Collectors;
import javafx.scene.layout.Priority;
import javafx.scene.layout.StackPane;
import javafx.scene.layout.VBox;

/** Which cells are put aside: the limits as figures and as lines, and what each of them does. */
final class LimitsView extends StackPane {
  /** A sample is to tell the mean of a batch within this share. */
  private static final double WITHIN = 0.01;

  private final SortState state;
  private final LimitsPicture picture;
  private final Words costs = new Words("fact-name", "limit-costs");
  private final Words sample = new Words("fact-name", "sample-size");
  private final RecordTable<Entry> aside =
      new RecordTable<Entry>(
              "aside",
              "cells put aside",
              "No cell is put aside.",
              List.of(
                  Column.words("Label", 70, e -> e.cell().label()),
                  Column.<Entry>words("Put aside because it", 220, Entry::why).inLines()))
          .withoutFilter();

  LimitsView(SortState state) {
    this.state = state;
    picture =
        new LimitsPicture(
            ah -> rules("Least capacity", r -> r.withLeastCapacity(ah)),
            volts -> rules("Lowest rest voltage", r -> r.withLowestVoltage(volts)),
            ohms -> rules("Most resistance", r -> r.withMostResistance(ohms)));
    Form form = new Form(state.session(), Station.SORT, 150, 70);
    form.section("How they are measured")
        .choice(
            "School",
            List.of(SortPlan.School.values()),
            SortPlan.School::label,
            p -> p.sortPlan().school(),
            (p, v) -> with(p, s -> s.withSchool(v)))
        .choice(
            "Resistance",
            List.of(false, true),
            direct -> direct ? "DC, 10 s" : "AC, 1 kHz",
            p -> p.sortPlan().direct(),
            (p, v) -> with(p, s -> s.withDirect(v)))
        .section("Put aside")
        .optional(
            "Rest voltage below",
            Unit.VOLT,
            p -> p.sortPlan().rules().lowestVoltage(),
            (p, v) -> with(p, r -> r.withLowestVoltage(v), p.sortPlan()))
        .optional(
            "Capacity below",
            Unit.MILLIAMPERE_HOUR,
            p -> p.sortPlan().rules().leastCapacity(),
            (p, v) -> with(p, r -> r.withLeastCapacity(v), p.sortPlan()))
        .optional(
            "Resistance above",
            Unit.MILLIOHM,
            p -> p.sortPlan().rules().mostResistance(),
            (p, v) -> with(p, r -> r.withMostResistance(v), p.sortPlan()))
        .quantity(
            "Self-discharge above",
            Unit.MILLIVOLT_PER_DAY,
            p -> p.sortPlan().rules().mostSelfDischarge(),
            (p, v) -> with(p, r -> r.withMostSelfDischarge(v), p.sortPlan()))
        .optional(
            "Outliers, deviations",
            Unit.ONE,
            p -> p.sortPlan().rules().deviations(),
            (p, v) -> with(p, r -> r.withDeviations(v), p.sortPlan()));
    aside.setMinSize(260, 110);
    aside.setPrefHeight(220);
    VBox left = new VBox(8, form.node(), costs, sample, Page.heading("Put aside"), aside);
    left.setMinWidth(290);
    left.setPrefWidth(330);
    VBox.setVgrow(aside, Priority.ALWAYS);
    getChildren().add(new Beside(left, picture));
    state.shownProperty().addListener((o, was, is) -> show());
    show();
  }

  private static Project with(Project p, Function<SortPlan, SortPlan> change) {
    return p.withSorting(change.apply(p.sortPlan()));
  }

  private static Project with(Project p, Function<RejectRules, RejectRules> change, SortPlan plan) {
    return p.withSorting(plan.withRules(change.apply(plan.rules())));
  }

  private void rules(String what, Function<RejectRules, RejectRules> change) {
    state.edit(what, plan -> plan.withRules(change.apply(plan.rules())));
  }

  private void show() {
    SortState.Shown s = state.shown();
    picture.show(s);
    aside.show(
        s.sorting().entries().stream().filter(e -> e.state() == CellState.REJECTED).toList());
    List<Sorting.LimitCost> limits =
        Sorting.limits(s.read().stock(), s.plan(), s.typical(), s.inPack());
    costs.setText(
        limits.stream()
            .filter(l -> l.cells() > 0)
            .map(
                l ->
                    "The limit of %s alone puts %d aside%s."
                        .formatted(
                            l.limit().toLowerCase(Locale.ROOT),
                            l.cells(),
                            l.spreadWithout() - l.spread() < 0.0005
                                ? ""
                                : "; capacities then spread %s instead of %s"
                                    .formatted(
                                        Figures.of(l.spread(), Unit.PERCENT, 1),
                                        Figures.of(l.spreadWithout(), Unit.PERCENT, 1))))
            .collect(Collectors.joining(" ")));
    sample.setText(sample(s));
  }

  private static String sample(SortState.Shown s) {
    if (s.plan().school() != SortPlan.School.SAMPLE) {
      return "";
    }
    SampleSize size =
        SampleSize.of(
            Sorting.capacities(s.read().stock()), s.read().stock().cells().size(), WITHIN);
    return size.measured() < SampleSize.LEAST
        ? "Measure %d cells in full first; their spread tells how many the batch needs."
            .formatted(SampleSize.LEAST)
        : "%d measured, spread %s: the mean is known within 1 %% from %d on%s"
            .formatted(
                size.measured(),
                Figures.of(size.deviation() / size.mean(), Unit.PERCENT, 1),
                size.wanted(),
                size.enough() ? ", which is enough." : ".");
  }
}
