package hammerman.app.station.sort;

import hammerman.app.control.Form;
import hammerman.app.control.PlainButton;
import hammerman.app.control.QuantityField;
import hammerman.app.control.TypedField;
import hammerman.app.control.Words;
import hammerman.app.station.Page;
import hammerman.record.Aside;
import hammerman.record.BayTest;
import hammerman.record.Fact;
import hammerman.record.Fact.Strike;
import hammerman.record.InventoryCell;
import hammerman.record.Measured;
import hammerman.record.Measurement;
import hammerman.record.Measurement.Conditions;
import hammerman.record.Measurement.Origin;
import hammerman.record.Subject;
import hammerman.sort.Sorting.Entry;
import hammerman.unit.Figures;
import hammerman.unit.InvalidValue;
import hammerman.unit.Unit;
import java.time.Instant;
import java.util.ArrayList;
import java.util.EnumMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.function.BiFunction;
import java.util.function.Function;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.control.TextField;
import javafx.scene.layout.GridPane;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.VBox;
import org.jspecify.annotations.Nullable;

/** The cell chosen: what it is, what was measured of it, and a place for the next reading. */
final class CellPanel extends VBox {
  private static final Pattern RANGE =
      Pattern.compile("(.*?)(\\d+)\\s*(?:-|–|to)\\s*(?:\\1)?(\\d+)");
  private static final int MOST_ADDED = 5000;
  private static final String NONE =
      "Choose a row to see all that was measured of that cell, to type what is known of it, to put"
          + " it aside or to pin it to a group. A figure in the table is typed where it stands, and"
          + " a column can be pasted from a spreadsheet.";

  private final SortState state;
  private final Label title = Page.heading("No cell chosen");
  private final Words why = new Words("complaint", "cell-why");
  private final Words none = new Words("fact-name", "no-cell");
  private final GridPane fields = new GridPane();
  private final Map<Measured, QuantityField> readings = new EnumMap<>(Measured.class);
  private final List<Described> described = new ArrayList<>();
  private final CellHistory history;
  private final TextField reason = new TextField();
  private final Button aside = new PlainButton("Put it aside", "put-aside", this::putAside);
  private final TextField labels = new TextField();
  private final QuantityField price = new QuantityField("Price", Unit.MONEY, true, this::setPrice);
  private final QuantityField pin =
      new QuantityField("Pinned to group", Unit.ONE, true, this::setPin);
  private final VBox whole;
  private @Nullable Entry entry;

  /** A field of what is known of a cell apart from measurements. */
  private record Described(TypedField field, Function<InventoryCell, String> read) {}

  CellPanel(SortState state) {
    super(6);
    this.state = state;
    history = new CellHistory(state, this::strike);
    setMinWidth(250);
    fields.setHgap(8);
    fields.setVgap(3);
    measured("Rest voltage", Measured.REST_VOLTAGE, Unit.VOLT);
    measured("AC resistance", Measured.AC_RESISTANCE, Unit.MILLIOHM);
    measured("DC resistance", Measured.DC_RESISTANCE, Unit.MILLIOHM);
    measured("Capacity", Measured.CAPACITY, Unit.MILLIAMPERE_HOUR);
    measured("Self-discharge", Measured.SELF_DISCHARGE, Unit.MILLIVOLT_PER_DAY);
    words("Type", InventoryCell::type, InventoryCell::withType);
    words("Lot", InventoryCell::lot, InventoryCell::withLot);
    words("Source", InventoryCell::source, InventoryCell::withSource);
    words("Bought", c -> c.bought() == null ? "" : c.bought().toString(), InventoryCell::boughtOn);
    figure("Price", Unit.MONEY, price);
    words("Photo, file", InventoryCell::photo, InventoryCell::withPhoto);
    words("Notes", InventoryCell::notes, InventoryCell::withNotes);
    figure("Pinned to group", Unit.ONE, pin);
    reason.setId("aside-reason");
    reason.setPromptText("Why, in your words");
    reason.setAccessibleText("Why this cell is put aside");
    HBox.setHgrow(reason, Priority.ALWAYS);
    aside.setMinWidth(USE_PREF_SIZE);
    whole = new VBox(6, why, fields, new HBox(6, reason, aside), Page.heading("Measured"), history);
    labels.setId("new-labels");
    labels.setPromptText("A1 to A50, or C7");
    labels.setAccessibleText("Labels of cells to add");
    labels.setOnAction(e -> add());
    HBox.setHgrow(labels, Priority.ALWAYS);
    Button add = new PlainButton("Add", "add-labels", this::add);
    add.setMinWidth(USE_PREF_SIZE);
    Words caution =
        Words.caution(
            "Never charge or revive a cell that rests below its cut-off, is dented, leaks or gets"
                + " warm by itself: put it aside, outdoors, away from what burns.");
    getChildren()
        .addAll(title, none, whole, Page.heading("New cells"), new HBox(6, labels, add), caution);
    show(null);
  }

  private void figure(String name, Unit unit, QuantityField field) {
    field.setId("cell-" + Form.id(name));
    field.setPrefWidth(76);
    row(name, field, unit.symbol(), field);
  }

  private void setPrice(@Nullable Double value) {
    String refused = describe(c -> c.withPrice(value));
    if (!refused.isEmpty()) {
      state.say(refused);
    }
  }

  private void setPin(@Nullable Double value) {
    Entry e = entry;
    if (e == null) {
      return;
    }
    int groups = state.session().project().design().pack().series();
    if (value != null && (value != Math.rint(value) || value < 1 || value > groups)) {
      throw new InvalidValue(
          "Pinned to group",
          Figures.number(value),
          "must be a group from 1 to " + groups,
          "Type its number, or leave it empty.");
    }
    state.edit(
        "Pin " + e.cell().label(),
        plan ->
            plan.withPin(
                e.cell().label(), value == null ? null : (Integer) (value.intValue() - 1)));
  }

  private void measured(String name, Measured what, Unit unit) {
    QuantityField field = new QuantityField(name, unit, true, v -> measure(what, v));
    field.setId("measure-" + what.name().toLowerCase(Locale.ROOT).replace('_', '-'));
    field.setPrefWidth(76);
    readings.put(what, field);
    row(name, field, unit.symbol(), field);
  }

  private void words(
      String name,
      Function<InventoryCell, String> read,
      BiFunction<InventoryCell, String, InventoryCell> write) {
    TypedField field = new TypedField(name, text -> describe(c -> write.apply(c, text.strip())));
    field.setId("cell-" + Form.id(name));
    described.add(new Described(field, read));
    row(name, field, "", field);
  }

  private void row(String name, TypedField field, String unit, TypedField complains) {
    Label label = new Label(name);
    label.getStyleClass().add("field-label");
    label.setMinWidth(USE_PREF_SIZE);
    label.setLabelFor(field);
    Label symbol = new Label(unit);
    symbol.getStyleClass().add("fact-name");
    Words complaint = Words.complaint(complains.complaintProperty());
    int at = fields.getRowCount();
    fields.add(label, 0, at);
    if (unit.isEmpty()) {
      fields.add(field, 1, at, 2, 1);
      GridPane.setHgrow(field, Priority.ALWAYS);
    } else {
      fields.add(field, 1, at);
      fields.add(symbol, 2, at);
    }
    fields.add(complaint, 0, at + 1, 3, 1);
  }

  /** Goes to where the capacity of the cell shown is typed. */
  void typeCapacity() {
    QuantityField field = readings.get(Measured.CAPACITY);
    if (field != null) {
      field.requestFocus();
    }
  }

  /** Goes to where labels are typed. */
  void addLabels() {
    labels.requestFocus();
  }

  /** Shows the present state of the cell that is shown. */
  void follow(SortState.Shown shown) {
    Entry was = entry;
    if (was != null) {
      show(
          shown.sorting().entries().stream()
              .filter(e -> e.cell().id() == was.cell().id())
              .findFirst()
              .orElse(null));
    }
  }

  void show(@Nullable Entry now) {
    entry = now;
    whole.setVisible(now != null);
    whole.setManaged(now != null);
    none.setText(now == null ? NONE : "");
    if (now == null) {
      title.setText("No cell chosen");
      return;
    }
    title.setText(now.cell().label() + ", " + now.words());
    why.setText(now.why());
    var m = now.cell().measured();
    boolean direct = state.shown().plan().direct();
    readings.forEach(
        (what, field) ->
            field.show(
                switch (what) {
                  case REST_VOLTAGE -> known(m.voltage());
                  case CAPACITY -> known(m.capacity());
                  case SELF_DISCHARGE -> known(m.selfDischarge());
                  case AC_RESISTANCE -> direct ? null : known(m.resistance());
                  case DC_RESISTANCE -> direct ? known(m.resistance()) : null;
                  case TEMPERATURE, MASS -> null;
                }));
    described.forEach(d -> d.field().show(d.read().apply(now.cell().described())));
    price.show(now.cell().described().price());
    pin.show(state.shown().plan().pin(now.cell().label()).map(g -> g + 1.0).orElse(null));
    aside.setText(now.cell().aside() == null ? "Put it aside" : "Take it back");
    history.show(now);
  }

  private static @Nullable Double known(double value) {
    return Double.isNaN(value) ? null : value;
  }

  private void measure(Measured what, @Nullable Double value) {
    Entry e = entry;
    if (e != null && value != null) {
      measure(e, what, value);
    }
  }

  /** Keeps a reading of a cell, typed now. */
  void measure(Entry e, Measured what, double value) {
    Measurement m =
        new Measurement(
            new Subject.Cell(e.cell().id()), what, value, Conditions.UNKNOWN, "", Origin.TYPED);
    Instant now = state.now();
    Fact<BayTest> test = e.cell().test();
    boolean ends = test != null && what == Measured.CAPACITY;
    state.record(
        "%s of %s kept%s."
            .formatted(what.label(), e.cell().label(), ends ? "; its bay is free again" : ""),
        store ->
            (test != null && what == Measured.CAPACITY)
                ? store.inventory().end(test.id(), new BayTest.Outcome.Measured(), List.of(m), now)
                : !store.inventory().measure(List.of(m), now).isEmpty());
  }

  private void strike(long id) {
    String words = reason.getText().strip();
    if (words.isEmpty()) {
      state.say("Say why it does not count in the field above; both stay in the record.");
      reason.requestFocus();
      return;
    }
    Strike strike = new Strike(state.now(), words);
    reason.clear();
    state.record(
        "Struck out; it stays in the record with its reason.",
        store -> {
          store.inventory().strike(id, strike);
          return true;
        });
  }

  private String describe(Function<InventoryCell, InventoryCell> change) {
    Entry e = entry;
    if (e == null) {
      return "";
    }
    try {
      InventoryCell now = change.apply(e.cell().described());
      if (!now.equals(e.cell().described())) {
        state.record(
            e.cell().label() + " kept.",
            store -> {
              store.inventory().describe(e.cell().id(), now);
              return true;
            });
      }
      return "";
    } catch (InvalidValue refused) {
      return String.valueOf(refused.getMessage());
    }
  }

  private void putAside() {
    Entry e = entry;
    if (e == null) {
      return;
    }
    Fact<Aside> was = e.cell().aside();
    String words = reason.getText().strip();
    if (words.isEmpty()) {
      state.say(
          "Say why %s is %s."
              .formatted(e.cell().label(), was == null ? "put aside" : "taken back"));
      reason.requestFocus();
      return;
    }
    Instant now = state.now();
    reason.clear();
    if (was == null) {
      state.record(
          e.cell().label() + " is put aside.",
          store -> store.inventory().setAside(new Aside(e.cell().id(), words), now));
    } else {
      state.record(
          e.cell().label() + " is taken back; both stay in the record.",
          store -> {
            store.inventory().takeBack(was.id(), new Strike(now, words));
            return true;
          });
    }
  }

  private void add() {
    List<InventoryCell> cells;
    try {
      cells = labels(labels.getText()).stream().map(InventoryCell::labelled).toList();
    } catch (InvalidValue e) {
      state.say(String.valueOf(e.getMessage()));
      return;
    }
    Instant now = state.now();
    state
        .session()
        .keeper()
        .record(
            store -> store.inventory().add(cells, now),
            ids -> {
              labels.clear();
              state.say(ids.size() + " cells added.");
            },
            trouble ->
                state.say("Not added: one of these labels is taken already. " + trouble.why()));
  }

  /** “A1 to A50” are fifty labels; commas and spaces part others. */
  static List<String> labels(String typed) {
    List<String> all = new ArrayList<>();
    for (String part : typed.strip().split("\\s*[,;]\\s*", -1)) {
      Matcher range = RANGE.matcher(part);
      if (range.matches()) {
        int from = Integer.parseInt(range.group(2));
        int to = Integer.parseInt(range.group(3));
        if (to < from || to - from >= MOST_ADDED) {
          throw new InvalidValue(
              "Labels", part, "must count up, over at most " + MOST_ADDED, "Type A1 to A50.");
        }
        int digits = range.group(2).startsWith("0") ? range.group(2).length() : 1;
        for (int k = from; k <= to; k++) {
          all.add(range.group(1) + ("%0" + digits + "d").formatted(k));
        }
      } else if (!part.isBlank()) {
        all.add(part);
      }
    }
    if (all.isEmpty()) {
      throw new InvalidValue("Labels", "empty", "at least one is needed", "Type A1 to A50, or C7.");
    }
    return all;
  }
}
