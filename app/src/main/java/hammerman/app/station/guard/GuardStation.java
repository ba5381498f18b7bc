package hammerman.app.station.guard;

import hammerman.app.control.Views;
import hammerman.app.control.Words;
import hammerman.app.station.Bench;
import hammerman.app.station.Page;
import hammerman.app.station.StationView;
import hammerman.circuit.Link;
import hammerman.finding.Station;
import hammerman.forecast.Forecast;
import hammerman.guard.Parts;
import hammerman.unit.Figures;
import hammerman.unit.Unit;
import java.util.LinkedHashMap;
import java.util.Map;
import java.util.function.Consumer;
import javafx.scene.Node;
import javafx.scene.layout.Priority;
import javafx.scene.layout.VBox;

/** The page of station Guard: what protects the pack, and whether the ratings line up. */
public final class GuardStation implements StationView {
  private final Page page;
  private final Views views = new Views();
  private final Map<String, Consumer<Forecast>> shows = new LinkedHashMap<>();
  private final Bench bench;

  public GuardStation(Bench bench) {
    this.bench = bench;
    Parts parts = bench.session().parts();
    GuardForms forms = new GuardForms(bench.session(), parts, PackGuard.FIRST);
    ChargeForms charging = new ChargeForms(bench.session(), parts, PackGuard.FIRST);
    ChainView chain = new ChainView(bench, parts);
    add("The chain", "chain", chain, chain::show);
    PartsView all = new PartsView(forms, charging);
    add("Parts", "parts", all, all::show);
    TimeCurrentPicture curves = new TimeCurrentPicture();
    Words verdict = new Words("answer", "time-current-verdict");
    curves.setMinHeight(280);
    VBox time = new VBox(8, verdict, curves);
    VBox.setVgrow(curves, Priority.ALWAYS);
    add(
        "Time and current",
        "time",
        time,
        f -> {
          curves.show(f.circuit());
          verdict.setText(TimeCurrentPicture.verdict(f.circuit()));
        });
    ChargingView charge = new ChargingView(bench, charging, parts);
    add("Charging", "charging", charge, charge::show);
    WiringView wiring = new WiringView(bench, forms);
    add("Wiring", "wiring", wiring, wiring::show);
    TwoPacksView two = new TwoPacksView(bench.session(), parts);
    add("Two packs", "two", two, two::show);
    ReadyMadeView ready = new ReadyMadeView(bench.session());
    add("Ready-made battery", "ready", ready, f -> ready.follow());
    page = new Page(Station.GUARD, views);
  }

  private void add(String name, String id, Node node, Consumer<Forecast> show) {
    shows.put(id, show);
    views.add(name, id, node, () -> show.accept(bench.session().forecastProperty().get()));
  }

  @Override
  public Page page() {
    return page;
  }

  @Override
  public void show(Forecast f) {
    shows.forEach(
        (id, show) -> {
          if (views.isShown(id)) {
            show.accept(f);
          }
        });
    Link weakest = f.circuit().weakest();
    double margin = f.circuit().margin(weakest);
    page.answer(
        margin >= 0
            ? "Every link carries the duty; the weakest is the %s, with %s to spare."
                .formatted(weakest.part().name(), Figures.of(margin, Unit.PERCENT, 0))
            : "The %s is overloaded by %s."
                .formatted(weakest.part().name(), Figures.of(-margin, Unit.PERCENT, 0)));
  }

  @Override
  public String help() {
    return """
    The chain shows every part on one ampere axis, the charge side below: the solid bar is what it \
    carries for long, the hatched bar what it stands for the length of the hardest moment; the lines are what \
    is asked of it. Press a row, or walk with the arrows, to open a part to its worst state, its margin and \
    who protects it. “Suggest” fills Guard with the weakest parts that suit, and says why; ticked parts stay.

    Time and current: the duty at every duration must stay left of every part; fuse or BMS must open before \
    anything is ruined.

    Charging: type what your meter shows at the plug. Charging lower than full costs range and buys years.

    Wiring: lengths as they will lie; the cut list adds the slack. Two packs and a ready-made battery \
    with its own protection have a view each. Work on mains and fixed installations belongs to a licensed \
    person.\
    """;
  }
}
