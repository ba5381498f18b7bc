package hammerman.app.station.build;

import hammerman.app.control.PlainButton;
import hammerman.app.control.QuantityField;
import hammerman.app.control.Words;
import hammerman.build.Expected;
import hammerman.build.OnePack;
import hammerman.build.Progress;
import hammerman.build.Step;
import hammerman.probe.ProbeCard;
import hammerman.record.Fact;
import hammerman.record.StepRecord;
import hammerman.unit.Figures;
import hammerman.unit.Unit;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.IntStream;
import javafx.scene.control.Label;
import javafx.scene.layout.FlowPane;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.StackPane;
import javafx.scene.layout.TilePane;
import javafx.scene.layout.VBox;
import org.jspecify.annotations.Nullable;

/** The balance plug with a place for each reading, and a verdict as it is typed. */
final class ProbeView extends StackPane {
  /** So many readings tell how full the pack is. */
  private static final int ENOUGH = 4;

  /** Further off than from empty to full it is a fault and no other state of charge. */
  private static final double LEAST_LEVEL = 0.8;

  private static final double MOST_LEVEL = 1.25;

  private final BuildState state;
  private final PackDesk desk;
  private final TilePane contacts = new TilePane(8, 6);
  private final PlacePicture place = new PlacePicture();
  private final Words verdict = new Words("verdict-line", "probe-verdict");
  private final Words hint = new Words("answer", "probe-hint");
  private final List<Contact> all = new ArrayList<>();
  private double[] read = new double[0];

  /** What was read of each pack, by whether it is the second. */
  private final Map<Boolean, double[]> reads = new HashMap<>();

  private boolean second;

  /** A place of the plug. */
  private record Contact(HBox box, QuantityField field, Label expects) {}

  ProbeView(BuildState state, PackDesk desk) {
    this.state = state;
    this.desk = desk;
    Words caution =
        Words.caution(
            "The plug stays out of the BMS until every contact reads what it should. Black lead on"
                + " battery minus; the tips are one slip from a short.");
    FlowPane tools =
        new FlowPane(
            8,
            4,
            new PlainButton("Keep these readings", "probe-keep", this::keep),
            new PlainButton("Read with the simulated meter", "probe-simulate", this::simulate),
            new PlainButton("Empty the card", "probe-empty", this::empty));
    contacts.setId("probe-contacts");
    contacts.setPrefTileWidth(266);
    contacts.setMinHeight(USE_PREF_SIZE);
    place.setMinHeight(120);
    place.setPrefHeight(200);
    place.setMaxHeight(320);
    VBox.setVgrow(place, Priority.ALWAYS);
    getChildren()
        .add(new VBox(8, new PackSwitch(state), hint, tools, verdict, contacts, place, caution));
    state.shownProperty().addListener((o, was, is) -> show(is));
    state
        .secondProperty()
        .addListener(
            (o, was, is) -> {
              desk.disconnect();
              show(state.shown());
            });
    show(state.shown());
  }

  private void show(BuildState.@Nullable Shown s) {
    OnePack on = state.onBench();
    if (s == null || on == null) {
      return;
    }
    int leads = on.pack().series() + 1;
    if (all.size() != leads || on.second() != second) {
      second = on.second();
      make(leads);
      read = reads.computeIfAbsent(second, k -> new double[0]);
      if (read.length != leads) {
        read = new double[leads];
        Arrays.fill(read, Double.NaN);
        reads.put(second, read);
      }
      for (int k = 0; k < leads; k++) {
        all.get(k).field().show(Double.isNaN(read[k]) ? null : (Double) read[k]);
      }
      verdict.setText("");
      point(0);
    }
    for (int k = 0; k < leads; k++) {
      Progress.Mark mark = s.progress().marks().get(on.step("probe." + k));
      Fact<StepRecord> fact = mark == null ? null : mark.fact();
      Double kept = fact == null ? null : fact.value().reading();
      if (kept != null && Double.isNaN(read[k])) {
        read[k] = kept;
        all.get(k).field().show(kept);
      }
    }
    boolean waits = s.progress().state(on.step("probe.0")) == Progress.State.WAITING;
    hint.setText(
        waits
            ? "You may read the card at any time; its readings are kept as steps once what comes"
                + " before them is done."
            : "");
    judge(s);
  }

  private static String expected(Expected e) {
    return Figures.of(e.value(), Unit.VOLT, 2);
  }

  private void make(int leads) {
    all.clear();
    contacts.getChildren().clear();
    for (int k = 0; k < leads; k++) {
      int lead = k;
      Label number = new Label(String.valueOf(k));
      number.getStyleClass().add("number");
      number.setMinWidth(24);
      QuantityField field =
          new QuantityField(
              "Contact " + k,
              Unit.VOLT,
              true,
              v -> {
                read[lead] = v == null ? Double.NaN : v;
                all.get(lead).field().show(v);
                judge(state.shown());
              });
      field
          .focusedProperty()
          .addListener(
              (o, was, is) -> {
                if (is) {
                  point(lead);
                }
              });
      field.setId("contact-" + k);
      field.setPrefWidth(84);
      Label expects = new Label();
      expects.getStyleClass().add("fact-name");
      Label word = new Label("expect");
      word.getStyleClass().add("fact-name");
      HBox box = new HBox(number, field, word, expects);
      box.getStyleClass().add("contact");
      box.setId("contact-box-" + k);
      all.add(new Contact(box, field, expects));
      contacts.getChildren().add(box);
    }
  }

  /** Shows where a contact's lead ends. */
  private void point(int lead) {
    BuildState.Shown s = state.shown();
    OnePack on = state.onBench();
    if (s != null && on != null) {
      s.progress()
          .procedure()
          .step(on.step("probe." + lead))
          .ifPresent(x -> place.show(s.forecast(), x));
    }
  }

  private void judge(BuildState.@Nullable Shown s) {
    OnePack on = state.onBench();
    if (s == null || on == null || read.length == 0) {
      return;
    }
    int typed = (int) Arrays.stream(read).filter(v -> !Double.isNaN(v)).count();
    boolean whole = typed == read.length;
    double level = level(s, on);
    for (int k = 0; k < read.length; k++) {
      double v = read[k];
      Optional<Expected> e =
          s.progress()
              .procedure()
              .step(on.step("probe." + k))
              .flatMap(Step::expects)
              .map(x -> x.scaled(level));
      all.get(k).expects().setText(e.map(ProbeView::expected).orElse(""));
      HBox box = all.get(k).box();
      box.getStyleClass().removeAll("good", "bad");
      if (!Double.isNaN(v) && e.isPresent()) {
        box.getStyleClass().add(e.get().takes(v) ? "good" : "bad");
      }
    }
    verdict.getStyleClass().removeAll("good", "bad");
    if (typed == 0) {
      verdict.setText("Type what each contact reads, in any order.");
    } else if (read.length - 1 > ProbeCard.MOST_SERIES) {
      verdict.setText(
          "With more than %d groups only each reading by itself is judged."
              .formatted(ProbeCard.MOST_SERIES));
    } else if (!whole) {
      verdict.setText(
          "%d of %d contacts are read. The whole card says which leads are wrong."
              .formatted(typed, read.length));
    } else {
      ProbeCard card = ProbeCard.of(on.design(), read);
      verdict.setText(card.words());
      verdict.getStyleClass().add(card.isSound() ? "good" : "bad");
      all.forEach(
          c -> {
            c.box().getStyleClass().removeAll("good", "bad");
            c.box().getStyleClass().add("good");
          });
      card.all().stream()
          .flatMap(f -> f.leads().stream())
          .distinct()
          .filter(k -> k < all.size())
          .forEach(
              k -> {
                all.get(k).box().getStyleClass().removeAll("good", "bad");
                all.get(k).box().getStyleClass().add("bad");
              });
    }
  }

  /**
   * How full the pack is against what was taken, by what was read so far: the middle of each
   * reading over what it should be. The cells may have been charged since they were read one by
   * one.
   */
  private double level(BuildState.Shown s, OnePack on) {
    double[] of =
        IntStream.range(1, read.length)
            .filter(k -> !Double.isNaN(read[k]))
            .mapToDouble(
                k ->
                    s.progress()
                        .procedure()
                        .step(on.step("probe." + k))
                        .flatMap(Step::expects)
                        .map(e -> read[k] / e.value())
                        .orElse(Double.NaN))
            .filter(Double::isFinite)
            .sorted()
            .toArray();
    if (of.length < ENOUGH) {
      return 1;
    }
    double middle = of[of.length / 2];
    return middle > LEAST_LEVEL && middle < MOST_LEVEL ? middle : 1;
  }

  /** Keeps all readings as the steps that they are. */
  private void keep() {
    BuildState.Shown s = state.shown();
    OnePack on = state.onBench();
    if (s == null || on == null) {
      return;
    }
    if (s.progress().state(on.step("probe.0")) == Progress.State.WAITING) {
      state.say("The card is kept once what comes before it is done; see Steps.");
      return;
    }
    state.keepAll(
        () -> {
          List<StepRecord> records = new ArrayList<>();
          for (int k = 0; k < read.length; k++) {
            if (!Double.isNaN(read[k])) {
              records.add(s.progress().read(on.step("probe." + k), read[k]));
            }
          }
          return records;
        });
  }

  private void empty() {
    Arrays.fill(read, Double.NaN);
    all.forEach(c -> c.field().show((Double) null));
    judge(state.shown());
  }

  private void simulate() {
    desk.readContacts(
        (contact, volts) -> {
          if (contact < read.length) {
            read[contact] = volts;
            all.get(contact).field().show(volts);
            judge(state.shown());
          }
        });
  }
}
