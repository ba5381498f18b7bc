package hammerman.app.control;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.stream.Collectors;
import javafx.scene.input.Clipboard;
import javafx.scene.input.ClipboardContent;

/** Rows as a spreadsheet copies and pastes them: a line each, cells parted by tabs. */
final class SpreadsheetRows {
  private SpreadsheetRows() {}

  /** Puts rows below their heads on the clipboard. */
  static <T> void copy(List<Column<T>> columns, List<T> rows) {
    List<String> lines = new ArrayList<>();
    lines.add(columns.stream().map(Column::head).collect(Collectors.joining("\t")));
    for (T row : rows) {
      lines.add(columns.stream().map(c -> c.text().apply(row)).collect(Collectors.joining("\t")));
    }
    ClipboardContent content = new ClipboardContent();
    content.putString(String.join("\n", lines));
    Clipboard.getSystemClipboard().setContent(content);
  }

  /** The cells of each line on the clipboard, if there are any. */
  static Optional<List<List<String>>> pasted() {
    String text = Clipboard.getSystemClipboard().getString();
    if (text == null || text.isBlank()) {
      return Optional.empty();
    }
    return Optional.of(
        text.lines().filter(l -> !l.isBlank()).map(l -> List.of(l.split("\t", -1))).toList());
  }
}
