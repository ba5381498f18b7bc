package hammerman.app.station.build;

import hammerman.app.control.Column;
import hammerman.app.control.RecordTable;
import hammerman.build.Expected;
import hammerman.build.Step;
import hammerman.record.Fact;
import hammerman.record.StepRecord;
import hammerman.unit.Figures;
import java.time.ZoneId;
import java.time.format.DateTimeFormatter;
import java.util.Comparator;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import javafx.scene.layout.StackPane;
import org.jspecify.annotations.Nullable;

/** What was done and read, when, and what was struck out. */
final class RecordView extends StackPane {
  private static final DateTimeFormatter WHEN =
      DateTimeFormatter.ofPattern("d MMM yyyy, HH:mm", Locale.ENGLISH);

  private final BuildState state;
  private final RecordTable<Fact<StepRecord>> table;

  RecordView(BuildState state) {
    this.state = state;
    table =
        new RecordTable<>(
            "build-record",
            "the record of the build",
            "Nothing is done yet. What you read and tick at Steps is kept here with its time, and"
                + " never changed; a mistake is struck out with a reason.",
            List.of(
                Column.<Fact<StepRecord>>words(
                        "When", 136, f -> WHEN.format(f.at().atZone(ZoneId.systemDefault())))
                    .ordered(Comparator.comparing(Fact::at)),
                Column.<Fact<StepRecord>>words("Step", 220, this::title).inLines(),
                Column.figures(
                    "Read", 86, this::reading, Comparator.comparing(f -> f.value().step())),
                Column.<Fact<StepRecord>>words("Verdict", 90, RecordView::verdict)
                    .styled(RecordView::style),
                Column.<Fact<StepRecord>>words("Reason", 120, RecordView::reason).inLines()));
    table.setMinHeight(240);
    getChildren().add(table);
    state.shownProperty().addListener((o, was, is) -> show(is));
    show(state.shown());
  }

  private void show(BuildState.@Nullable Shown s) {
    if (s != null) {
      table.show(s.facts().reversed());
    }
  }

  private Optional<Step> step(Fact<StepRecord> f) {
    BuildState.Shown s = state.shown();
    return s == null ? Optional.empty() : s.progress().procedure().step(f.value().step());
  }

  private String title(Fact<StepRecord> f) {
    return step(f).map(Step::title).orElse(f.value().step());
  }

  private String reading(Fact<StepRecord> f) {
    Double v = f.value().reading();
    if (v == null) {
      return "";
    }
    Optional<Expected> e = step(f).flatMap(Step::expects);
    return e.map(x -> Figures.of(v, x.unit(), x.decimals())).orElseGet(() -> Figures.number(v));
  }

  private static String verdict(Fact<StepRecord> f) {
    if (!f.counts()) {
      return "struck out";
    }
    return switch (f.value().verdict()) {
      case DONE -> "done";
      case WITHIN -> "within";
      case OUTSIDE -> "outside";
      case OVERRIDDEN -> "overridden";
    };
  }

  private static String style(Fact<StepRecord> f) {
    if (!f.counts()) {
      return "warn";
    }
    return switch (f.value().verdict()) {
      case DONE, WITHIN -> "good";
      case OUTSIDE -> "stop";
      case OVERRIDDEN -> "warn";
    };
  }

  private static String reason(Fact<StepRecord> f) {
    return f.strike().map(Fact.Strike::reason).orElse(f.value().reason());
  }
}
