package hammerman.app.station.fit;

import hammerman.app.control.ActTable;
import hammerman.app.control.Form;
import hammerman.app.control.PlainButton;
import hammerman.app.control.Words;
import hammerman.app.job.Latest;
import hammerman.app.station.Page;
import hammerman.chain.Layout;
import hammerman.finding.Station;
import hammerman.fit.Arrangement;
import hammerman.fit.FitPlan;
import hammerman.fit.Grouping;
import hammerman.fit.Joining;
import hammerman.fit.Placing;
import hammerman.fit.Style;
import hammerman.forecast.Forecast;
import hammerman.interconnect.Network;
import hammerman.pack.Pack;
import hammerman.unit.Figures;
import hammerman.unit.Unit;
import java.util.ArrayList;
import java.util.List;
import javafx.scene.control.Label;
import javafx.scene.layout.FlowPane;
import javafx.scene.layout.VBox;

/** Groups: other ways to part the places, moves by hand, locks. */
final class GroupsPanel extends VBox {
  private final FitState state;
  private final ActTable ways = new ActTable("fit-ways");
  private final Words said = new Words("complaint", "fit-said");
  private final PlainButton swap;
  private final PlainButton swapGroups;
  private final PlainButton lock;
  private final Latest comparing = Latest.ofDetails("ways to form groups");
  private final Latest arranging = new Latest("groups anew");
  private List<Object> compared = List.of();

  /** A style and the layout it makes. */
  private record Way(Style style, Layout layout) {}

  GroupsPanel(FitState state) {
    super(8);
    this.state = state;
    swap =
        new PlainButton(
            "Exchange the two cells",
            "swap-cells",
            () -> state.exchange(state.first(), state.second()));
    swapGroups =
        new PlainButton(
            "Exchange their groups",
            "swap-groups",
            () -> state.exchangeGroups(state.group(state.first()), state.group(state.second())));
    lock = new PlainButton("Lock the group", "lock-group", this::lock);
    FlowPane row =
        new FlowPane(
            6,
            6,
            swap,
            swapGroups,
            lock,
            new PlainButton("Arrange the rest anew", "arrange-anew", this::anew),
            new PlainButton(
                "Take all moves back",
                "unswap-cells",
                () ->
                    state.edit("Take moves back", p -> p.withByHand(null).withLocked(List.of()))));
    Form form = new Form(state.session(), Station.FIT, 132, 66);
    form.choiceWhen(
        FitState::has,
        "Joined by",
        List.of(Joining.values()),
        Joining::label,
        p -> FitState.plan(p).joining(),
        FitState.writing(FitPlan::withJoining));
    getChildren()
        .addAll(
            Page.heading("Ways to part them"),
            ways,
            small(
                "Strips: in the narrowest link. Reach: how far a group stretches. Share: the most"
                    + " of an equal share that a cell carries."),
            form.node(),
            Page.heading("By hand"),
            small(
                "Drag a cell onto another to exchange them, or walk with the arrows, with Shift to"
                    + " a second one, and press Enter. A locked group has a star."),
            row,
            said);
    state.follow(this::follow);
  }

  private static Label small(String words) {
    Label label = new Label(words);
    label.getStyleClass().add("fact-name");
    label.setWrapText(true);
    label.setMinHeight(USE_PREF_SIZE);
    return label;
  }

  private void follow() {
    Layout l = state.layout().orElse(null);
    if (l == null) {
      return;
    }
    int one = state.group(state.first());
    int other = state.group(state.second());
    swap.setDisable(state.first() < 0 || state.second() < 0);
    swapGroups.setDisable(one < 0 || other < 0 || one == other);
    lock.setDisable(one < 0);
    boolean locked = l.plan().locked().contains(one);
    lock.setText(
        one < 0 ? "Lock the group" : (locked ? "Unlock group " : "Lock group ") + (one + 1));
    said.setText(l.arrangement().why() + String.join(" ", l.arrangement().faults()));
    if (getScene() != null) {
      compare(l);
    }
  }

  private void lock() {
    int g = state.group(state.first());
    state
        .layout()
        .flatMap(l -> l.arrangement().attempted())
        .ifPresent(
            now ->
                state.edit(
                    "Lock a group", p -> p.arranged(now).withLock(g, !p.locked().contains(g))));
  }

  /** Arranges all but the locked groups; what comes is taken as an edit of its own. */
  private void anew() {
    Layout l = state.layout().orElse(null);
    if (l == null) {
      return;
    }
    Pack pack = state.forecast().orElseThrow().design().pack();
    arranging.submit(
        () -> Arrangement.anew(l.plan(), pack),
        r -> {
          switch (r) {
            case Grouping.Result.Found f ->
                state.edit("Arrange groups anew", p -> p.arranged(f.grouping()));
            case Grouping.Result.NotPossible n -> said.setText(n.why());
          }
        });
  }

  /** Works the other styles out, when what they depend on has changed. */
  private void compare(Layout now) {
    Forecast f = state.forecast().orElseThrow();
    FitPlan plain = now.plan().withByHand(null).withLocked(List.of());
    List<Object> question = List.of(plain, f.design().pack(), f.chain().demand());
    if (question.equals(compared)) {
      return;
    }
    compared = question;
    ways.show(List.of("Being worked out …"), List.of());
    comparing.submit(
        () -> {
          List<Way> found = new ArrayList<>();
          for (Style s : Style.values()) {
            found.add(new Way(s, Layout.of(f.chain(), plain.withStyle(s))));
          }
          return found;
        },
        found ->
            ways.show(
                List.of("", "Strips", "Reach", "Share", "Loss"),
                found.stream().map(w -> row(w, now.plan().style())).toList()));
  }

  private ActTable.Row row(Way w, Style chosen) {
    List<String> texts =
        w.layout()
            .solved()
            .map(s -> figures(w.style(), s))
            .orElse(List.of(w.style().label(), "–", "–", "–", "not possible"));
    return w.style() == chosen
        ? ActTable.Row.of(texts)
        : new ActTable.Row(
            texts, "Take", () -> state.edit("Way to form groups", p -> p.withStyle(w.style())));
  }

  private static List<String> figures(Style style, Layout.Solved s) {
    Placing p = s.layout().arrangement().placing();
    Network n = s.network();
    return List.of(
        style.label(),
        Integer.toString(s.grouping().fewestStrips(p, s.layout().plan().joining())),
        Figures.of(s.grouping().meanStretch(p), Unit.MILLIMETRE, 0),
        Figures.of(n.worstShare(s.grouping()), Unit.PERCENT, 0),
        Figures.heat(n.heat()));
  }
}
