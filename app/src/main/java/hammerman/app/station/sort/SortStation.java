package hammerman.app.station.sort;

import hammerman.app.control.Views;
import hammerman.app.station.Bench;
import hammerman.app.station.Page;
import hammerman.app.station.Slice;
import hammerman.app.station.StationView;
import hammerman.finding.Station;
import hammerman.forecast.Forecast;
import hammerman.pack.MatchedCells;
import hammerman.sort.CellState;
import hammerman.sort.Sorting;
import java.util.ArrayList;
import java.util.EnumSet;
import java.util.List;
import java.util.Set;

/** The page of station Sort. */
public final class SortStation implements StationView {
  private final SortState state;
  private final Views views = new Views();
  private final GroupsView groups;
  private final TesterView tester;
  private final Page page;

  public SortStation(Bench bench) {
    state = new SortState(bench.session());
    groups = new GroupsView(bench, state);
    CellsView cells = new CellsView(bench, state);
    tester =
        new TesterView(
            bench,
            state,
            label -> {
              views.show("cells");
              cells.typeCapacity(label);
            });
    views
        .add("Cells", "cells", cells, () -> {})
        .add("Tester", "tester", tester, tester::show)
        .add("Limits", "limits", new LimitsView(state), () -> {})
        .add("Groups", "groups", groups, groups::show)
        .add("Rework", "rework", new ReworkView(state), () -> {});
    page = new Page(Station.SORT, views).withSaid(state.saidProperty());
    state.shownProperty().addListener((o, was, is) -> answer());
    answer();
  }

  @Override
  public Page page() {
    return page;
  }

  @Override
  public void show(Forecast forecast) {
    state.follow();
    if (views.isShown("groups")) {
      groups.show();
    } else if (views.isShown("tester")) {
      tester.show();
    }
  }

  private void answer() {
    Sorting s = state.shown().sorting();
    var pack = state.shown().pack();
    int needed = pack == null ? 0 : pack.cells();
    int good = s.accepted().size();
    MatchedCells in = state.shown().inPack();
    if (in != null && in.byGroups()) {
      page.answer(
          "The pack counts by its %d measured groups%s."
              .formatted(
                  in.groups().size(),
                  s.entries().isEmpty() ? "" : "; of the cells here none is in it"));
    } else if (s.entries().isEmpty()) {
      page.answer("No cell is measured yet; %d are needed.".formatted(needed));
    } else if (in != null) {
      page.answer(
          "%d cells are in the pack, %d spare and %d put aside."
              .formatted(
                  s.count(CellState.IN_PACK),
                  s.count(CellState.SPARE),
                  s.count(CellState.REJECTED)));
    } else {
      int resting = s.count(CellState.RESTING);
      int testing = s.count(CellState.ON_TEST) + s.count(CellState.NEW);
      List<String> parts = new ArrayList<>();
      parts.add("%d of %d cells good".formatted(good, s.entries().size()));
      parts.add(s.count(CellState.REJECTED) + " put aside");
      if (resting > 0) {
        parts.add(resting + " resting");
      }
      if (testing > 0) {
        parts.add(testing + " still to be measured");
      }
      page.answer(
          String.join(", ", parts)
              + "; the pack takes %d%s."
                  .formatted(
                      needed,
                      good >= needed ? "" : ", so %d more are needed".formatted(needed - good)));
    }
  }

  @Override
  public Set<Slice> reads() {
    return EnumSet.allOf(Slice.class);
  }

  @Override
  public String help() {
    return """
    Every cell is measured before it is built in. Cells takes in tables of any tester, typed readings \
    and new labels; readings are facts: they are never changed, only struck out with a reason.

    Tester says what to load now and when all will be measured, with your hours; the plan goes into a \
    calendar. A simulated tester stands in for a real one.

    Limits puts bad cells aside, each with its reason. Drag the lines, or type the limits; an outlier \
    lies more than so many median deviations from the middle.

    Groups fills the groups so that they hold the same. A group that holds less is empty first and \
    full first, and the whole pack with it. What that costs is run through the forecast. Take the \
    cells into the design, and each group counts by itself from then on.

    Rework is for a pack that got weak: type what was measured of each group, and see which is sick and \
    what another group, one fewer, half the parallel count or cells dealt out anew would give.\
    """;
  }
}
