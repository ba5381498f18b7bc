package hammerman.app.station.fit;

import hammerman.app.control.ActTable;
import hammerman.app.control.Facts;
import hammerman.app.control.Form;
import hammerman.app.control.PlainButton;
import hammerman.app.control.TypedField;
import hammerman.app.control.Words;
import hammerman.app.job.Latest;
import hammerman.app.station.Page;
import hammerman.chain.Layout;
import hammerman.design.Design;
import hammerman.finding.Station;
import hammerman.fit.FitPlan;
import hammerman.forecast.Forecast;
import hammerman.forecast.StripRemedy;
import hammerman.interconnect.Network;
import hammerman.pack.Conductors;
import hammerman.pack.Joint;
import hammerman.pack.Strip;
import hammerman.pack.StripText;
import hammerman.pack.TakeOff;
import hammerman.unit.Figures;
import hammerman.unit.InvalidValue;
import hammerman.unit.Unit;
import java.util.List;
import java.util.Objects;
import java.util.function.UnaryOperator;
import javafx.scene.control.Label;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.VBox;
import org.jspecify.annotations.Nullable;

/**
 * What carries the current: strips, plate by plate if need be, take-off, links, and what mends
 * them.
 */
final class StripsPanel extends VBox {
  private static final int MOST_MENDS = 4;

  private final FitState state;
  private final Facts facts = new Facts("fact-name", "fact-value", "fact-value");
  private final ActTable remedies = new ActTable("fit-remedies");
  private final Words plate = new Words("answer", "fit-plate");
  private final TypedField plateStrip;
  private final TypedField usualStrip;
  private final TypedField linkStrip;
  private final PlainButton likeAll;
  private final PlainButton face;
  private final Words said = new Words("complaint");
  private final Latest mending = Latest.ofDetails("what mends the strips");
  private @Nullable Object mended;

  StripsPanel(FitState state) {
    super(5);
    this.state = state;
    facts.setId("fit-facts");
    facts.setVgap(2);
    usualStrip = new TypedField("Strip everywhere", t -> strip(t, usual(), this::everywhere));
    usualStrip.setId("strip-everywhere");
    plateStrip = new TypedField("Strip of this plate", t -> strip(t, usual(), this::onPlate));
    plateStrip.setId("strip-of-plate");
    linkStrip =
        new TypedField(
            "Bars and wires",
            t -> strip(t, conductors().link(), s -> led("Links", c -> c.withLink(s))));
    linkStrip.setId("strip-of-links");
    likeAll =
        new PlainButton(
            "As everywhere",
            "plate-as-usual",
            () -> led("Strip of a plate", c -> c.without(state.plate())));
    face = new PlainButton("This whole face", "plate-to-face", this::wholeFace);
    Form form = new Form(state.session(), Station.FIT, 132, 66);
    form.choiceWhen(
        FitState::has,
        "Leads from",
        List.of(TakeOff.values()),
        TakeOff::label,
        p -> FitState.plan(p).conductors().takeOff(),
        FitState.writing((p, v) -> p.withConductors(p.conductors().withTakeOff(v))));
    form.choiceWhen(
        FitState::has,
        "Terminals",
        List.of(Joint.values()),
        Joint::label,
        p -> FitState.plan(p).conductors().joint(),
        FitState.writing((p, v) -> p.withConductors(p.conductors().withJoint(v))));
    getChildren()
        .addAll(
            facts,
            row("Everywhere", usualStrip),
            row("Links", linkStrip),
            form.node(),
            Page.heading("One plate"),
            plate,
            new HBox(6, plateStrip, likeAll, face),
            said,
            Page.heading("What mends the hardest-worked place"),
            remedies);
    state.follow(this::follow);
  }

  private static HBox row(String name, TypedField field) {
    Label label = new Label(name);
    label.getStyleClass().add("field-label");
    label.setMinWidth(92);
    HBox.setHgrow(field, Priority.ALWAYS);
    HBox row = new HBox(label, field);
    row.getStyleClass().add("field-row");
    return row;
  }

  private FitPlan plan() {
    return FitState.plan(state.session().project());
  }

  private Conductors conductors() {
    return plan().conductors();
  }

  private Strip usual() {
    return state.session().project().variant().pack().strip();
  }

  private void follow() {
    Layout l = state.layout().orElse(null);
    if (l == null || !FitState.has(state.session().project())) {
      return;
    }
    usualStrip.show(usual().text());
    linkStrip.show(conductors().link().text());
    int p = state.plate();
    int series = state.forecast().orElseThrow().design().pack().series();
    boolean chosen = p >= 0 && p <= series;
    plateStrip.setDisable(!chosen);
    face.setDisable(!chosen);
    boolean special = conductors().special().stream().anyMatch(s -> s.plate() == p);
    likeAll.setDisable(!special);
    plateStrip.show(chosen ? conductors().on(p, usual()).text() : "");
    Network n = l.continuous().orElse(null);
    plate.setText(chosen && n != null ? plateWords(n, p, series) : "Press a strip on the sheet.");
    Forecast f = state.forecast().orElseThrow();
    if (n == null) {
      facts.show(List.of());
      remedies.show(List.of(), List.of());
      return;
    }
    facts.show(rows(f, n));
    if (getScene() != null && !Objects.equals(mended, n)) {
      mended = n;
      mending.submit(() -> StripRemedy.of(f), this::showRemedies);
    }
  }

  private String plateWords(Network n, int p, int series) {
    double most = 0;
    double heat = 0;
    for (Network.Segment s : n.segments()) {
      if (s.plate() == p) {
        most = Math.max(most, s.load());
        heat += s.heat();
      }
    }
    return "%s, %s face: %s of what it carries, %s."
        .formatted(
            capital(StripRemedy.plate(p, series)),
            p % 2 == 1 ? "upper" : "lower",
            Figures.of(most, Unit.PERCENT, 0),
            Figures.heat(heat));
  }

  private static String capital(String words) {
    return Character.toUpperCase(words.charAt(0)) + words.substring(1);
  }

  private static List<List<String>> rows(Forecast f, Network n) {
    double by = f.chain().demand().peak() / n.current();
    Network peak = n.at(f.chain().demand().peak());
    double share = n.worstShare(f.layout().orElseThrow().arrangement().grouping().orElseThrow());
    Network.Segment worst = n.hardestWorked().orElse(null);
    double amperes = worst == null ? 0 : Math.abs(worst.current());
    double density = worst == null ? 0 : worst.density();
    double load = worst == null ? 0 : worst.load();
    return List.of(
        List.of(
            "",
            "long: " + Figures.of(n.current(), Unit.AMPERE),
            "peak: " + Figures.of(peak.current(), Unit.AMPERE)),
        List.of(
            "Hardest-worked piece",
            Figures.of(amperes, Unit.AMPERE),
            Figures.of(amperes * by, Unit.AMPERE)),
        List.of(
            "Density, A/mm²", Figures.compact(density / 1e6), Figures.compact(density * by / 1e6)),
        List.of("Of what it carries", Figures.of(load, Unit.PERCENT, 0), ""),
        List.of("Strips lose", Figures.heat(n.heat()), Figures.heat(peak.heat())),
        List.of("Strips add", Figures.of(n.extraResistance(), Unit.MILLIOHM), ""),
        List.of("Most of an equal share", Figures.of(share, Unit.PERCENT, 0), ""));
  }

  private void showRemedies(List<StripRemedy> found) {
    remedies.show(
        List.of("", "Load", "Share", "Loss"),
        found.stream()
            .limit(MOST_MENDS)
            .map(
                m ->
                    new ActTable.Row(
                        List.of(
                            m.what(),
                            Figures.of(m.load(), Unit.PERCENT, 0),
                            Figures.of(m.share(), Unit.PERCENT, 0),
                            Figures.heat(m.loss())),
                        "Take",
                        () -> state.session().editDesign(m.what(), Station.FIT, d -> take(d, m))))
            .toList());
  }

  /** Only what a mend changes is taken over, so that edits made meanwhile stay. */
  private static Design take(Design now, StripRemedy m) {
    return now.withFit(m.design().fit()).withPack(now.pack().withStrip(m.design().pack().strip()));
  }

  /** Points at the plate that works hardest, unless one is chosen. */
  void point() {
    state
        .solved()
        .filter(s -> state.plate() < 0)
        .flatMap(s -> s.network().hardestWorked())
        .ifPresent(
            worst -> {
              state.see(worst.top());
              state.plate(worst.plate());
            });
  }

  private interface Taking {
    String take(Strip strip);
  }

  private static String strip(String typed, Strip usual, Taking taking) {
    try {
      return taking.take(StripText.read(typed, usual));
    } catch (InvalidValue e) {
      return String.valueOf(e.getMessage());
    }
  }

  private String everywhere(Strip s) {
    state
        .session()
        .editDesign("Strip everywhere", Station.FIT, d -> d.withPack(d.pack().withStrip(s)));
    return "";
  }

  private String onPlate(Strip s) {
    return led("Strip of a plate", c -> c.with(state.plate(), s));
  }

  private void wholeFace() {
    Strip s = conductors().on(state.plate(), usual());
    int series = state.forecast().orElseThrow().design().pack().series();
    led(
        "Strip of a face",
        c -> {
          Conductors all = c;
          for (int p = state.plate() % 2; p <= series; p += 2) {
            all = all.with(p, s);
          }
          return all;
        });
  }

  private String led(String what, UnaryOperator<Conductors> change) {
    String why = state.edit(what, p -> p.withConductors(change.apply(p.conductors())));
    said.setText(why);
    return why;
  }
}
