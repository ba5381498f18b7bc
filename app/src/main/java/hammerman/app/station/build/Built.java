package hammerman.app.station.build;

import hammerman.build.Step;
import hammerman.design.Design;
import hammerman.pack.MatchedCells;
import hammerman.record.StepRecord;
import hammerman.sort.Stock;
import hammerman.store.BuildBook.CellPlace;
import hammerman.store.NotKept;
import hammerman.store.ProjectStore;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/** Which cells are built in once a group of the very cells is joined. */
final class Built {
  private static final Pattern JOINED = Pattern.compile("group\\.(\\d+)\\.join");

  private Built() {}

  /** Returns the places that a step has filled; none unless it has joined a group of the first. */
  static List<CellPlace> places(ProjectStore store, StepRecord record, Design design)
      throws NotKept {
    Matcher m = JOINED.matcher(record.step());
    var matched = design.pack().matched();
    boolean stopped = record.verdict() == StepRecord.Verdict.OUTSIDE;
    if (matched.isEmpty() || stopped || record.step().startsWith(Step.SECOND) || !m.matches()) {
      return List.of();
    }
    Map<String, Long> numbers = new HashMap<>();
    for (Stock.Cell c : store.inventory().stock(matched.get().direct()).cells()) {
      numbers.put(c.label(), c.id());
    }
    int group = Integer.parseInt(m.group(1)) - 1;
    List<CellPlace> places = new ArrayList<>();
    List<MatchedCells.Cell> cells = matched.get().groups().get(group).cells();
    for (int k = 0; k < cells.size(); k++) {
      Long id = numbers.get(cells.get(k).label());
      if (id != null) {
        places.add(new CellPlace(id, 0, group, k));
      }
    }
    return places;
  }
}
