package hammerman.app.station.duty;

import hammerman.app.control.QuantityField;
import hammerman.app.control.Words;
import hammerman.app.session.Session;
import hammerman.design.Design;
import hammerman.duty.LeadBattery;
import hammerman.finding.Station;
import hammerman.project.Project;
import hammerman.replacement.Replacement;
import hammerman.unit.Figures;
import hammerman.unit.Unit;
import java.util.List;
import java.util.Objects;
import javafx.geometry.Pos;
import javafx.scene.Node;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.layout.FlowPane;
import javafx.scene.layout.Region;
import javafx.scene.layout.VBox;
import org.jspecify.annotations.Nullable;

/** What takes the place of a sealed lead battery, and what changes with it. */
final class LeadView extends VBox {
  private static final int SHOWN = 4;
  private static final double CARD = 446;

  private final Session session;
  private final FlowPane cards = new FlowPane(12, 12);
  private final Words words = new Words("answer", "lead-words");
  private static final LeadBattery USUAL = new LeadBattery(12, 20);
  private final Button keep = new Button();
  private final QuantityField voltage =
      new QuantityField("Lead battery", Unit.VOLT, false, v -> set(v, null));
  private final QuantityField capacity =
      new QuantityField("Rated at 20 h", Unit.AMPERE_HOUR, false, v -> set(null, v));

  private boolean begun;

  LeadView(Session session) {
    super(10);
    this.session = session;
    voltage.setId("lead-voltage");
    capacity.setId("lead-capacity");
    FlowPane fields =
        new FlowPane(
            8, 4, label("Lead battery"), voltage, label("V,"), capacity, label("Ah at 20 h"), keep);
    keep.setId("lead-keep");
    keep.getStyleClass().addAll("plain", "small");
    keep.setOnAction(e -> keep(session.project().duty().replaces() == null ? battery() : null));
    fields.setAlignment(Pos.CENTER_LEFT);
    fields.setMinHeight(USE_PREF_SIZE);
    voltage.setPrefColumnCount(5);
    capacity.setPrefColumnCount(5);
    Words complaint =
        Words.complaint(voltage.complaintProperty().concat(capacity.complaintProperty()));
    Words caution =
        Words.caution(
            "A device with a lead charger built in needs that charger taken out of use by someone"
                + " licensed to do it. Where local codes rule the installation, they come first.");
    getChildren().addAll(fields, complaint, words, cards, caution);
    session.projectProperty().addListener((o, was, is) -> follow(was, is));
  }

  /** Shows the present battery and its packs; nothing is looked up before. */
  void show() {
    begun = true;
    refresh();
  }

  private void follow(Project was, Project is) {
    if (!begun) {
      return;
    }
    if (!Objects.equals(was.duty().replaces(), is.duty().replaces())
        || was.variants().size() != is.variants().size()) {
      refresh();
    }
  }

  private static Label label(String text) {
    Label label = new Label(text);
    label.getStyleClass().add("field-label");
    return label;
  }

  private void set(@Nullable Double volts, @Nullable Double ampereHours) {
    LeadBattery battery = battery();
    LeadBattery typed =
        new LeadBattery(
            volts == null ? battery.voltage() : volts,
            ampereHours == null ? battery.capacity() : ampereHours);
    keep(typed);
  }

  /** The battery kept in the project; a usual one until then. */
  private LeadBattery battery() {
    LeadBattery kept = session.project().duty().replaces();
    return kept == null ? USUAL : kept;
  }

  private void keep(@Nullable LeadBattery value) {
    session.edit(
        "Lead battery",
        Station.DUTY,
        p -> p.withDesign(p.design().withDuty(p.duty().withReplaces(value))));
  }

  private void refresh() {
    LeadBattery battery = battery();
    boolean kept = session.project().duty().replaces() != null;
    keep.setText(kept ? "It replaces none" : "It replaces this one");
    voltage.show(battery.voltage());
    capacity.show(battery.capacity());
    words.setText(
        "On charge it had up to %s; devices made for it stop near %s."
                .formatted(
                    Figures.of(battery.charged(), Unit.VOLT, 1),
                    Figures.of(battery.cutOff(), Unit.VOLT, 1))
            + " "
            + String.join(" ", Replacement.always()));
    cards.getChildren().clear();
    List<Replacement.Suggestion> all = new Replacement(battery).suggest(session.library());
    for (int k = 0; k < Math.min(SHOWN, all.size()); k++) {
      cards.getChildren().add(card(all.get(k)));
    }
  }

  private Node card(Replacement.Suggestion s) {
    String counts = s.counts();
    Label title = new Label(counts + " of " + s.cell().name());
    title.getStyleClass().add("title");
    Label figures =
        new Label(
            "%s, full %s, empty %s%s"
                .formatted(
                    s.cell().chemistry().label(),
                    Figures.of(s.full(), Unit.VOLT, 1),
                    Figures.of(s.empty(), Unit.VOLT, 1),
                    s.fits() ? "; keeps within the lead battery's voltages" : "; does not fit"));
    figures.getStyleClass().add(s.fits() ? "why" : "complaint");
    VBox card = new VBox(4, title, figures);
    card.getStyleClass().add("judgement");
    for (String change : s.changes()) {
      Label line = new Label("– " + change);
      line.getStyleClass().add("fix");
      line.setMinHeight(Region.USE_PREF_SIZE);
      card.getChildren().add(line);
    }
    Button use = new Button("Make it a variant");
    use.setId("lead-use-" + s.cell().chemistry().name());
    use.getStyleClass().setAll("link");
    use.setOnAction(
        e ->
            session.edit(
                "Variant for a lead battery",
                Station.STACK,
                p -> {
                  Design full = p.design().withCell(s.cell()).withCounts(s.series(), s.parallel());
                  return p.plusVariant("Instead of lead, " + counts)
                      .withDesign(
                          full.withGuard(
                              full.guard()
                                  .withCharge(full.guard().charge().withVoltage(s.full()))));
                }));
    card.getChildren().add(use);
    card.setMinWidth(CARD);
    card.setPrefWidth(CARD);
    card.setMaxWidth(CARD);
    return card;
  }
}
