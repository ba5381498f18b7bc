package hammerman.app.station.guard;

import hammerman.app.session.Session;
import hammerman.guard.ChargePlan;
import hammerman.guard.ChargePort;
import hammerman.guard.Connector;
import hammerman.guard.Fuse;
import hammerman.guard.FuseClass;
import hammerman.guard.Guard;
import hammerman.guard.Parts;
import hammerman.unit.Unit;
import java.util.List;
import java.util.Optional;
import java.util.function.BiFunction;
import java.util.function.Function;
import java.util.function.UnaryOperator;
import javafx.scene.layout.VBox;

/** The forms of the charging side: the charger, and the charge lead with its fuse and plug. */
final class ChargeForms {
  private final Session session;
  private final Parts parts;
  private final PackGuard whose;

  ChargeForms(Session session, Parts parts, PackGuard whose) {
    this.session = session;
    this.parts = parts;
    this.whose = whose;
  }

  VBox charger() {
    return new GuardForm(session, whose)
        .section("Charger")
        .choice(
            "Charger",
            List.of(ChargePlan.Kind.values()),
            ChargePlan.Kind::label,
            g -> g.charge().kind(),
            (g, v) -> g.withCharge(g.charge().withKind(v)))
        .quantity(
            "Charge voltage",
            Unit.VOLT,
            g -> g.charge().voltage(),
            (g, v) -> g.withCharge(g.charge().withVoltage(v)))
        .quantity(
            "Tolerance",
            Unit.PERCENT,
            g -> g.charge().tolerance(),
            (g, v) -> g.withCharge(g.charge().withTolerance(v)))
        .quantity(
            "Charger gives",
            Unit.AMPERE,
            g -> g.charge().current(),
            (g, v) -> g.withCharge(g.charge().withCurrent(v)))
        .node();
  }

  VBox port() {
    GuardForm form = new GuardForm(session, whose).section("Charge lead");
    port(
        form,
        "Charge wire",
        Unit.SQUARE_MILLIMETRE,
        c -> c.wire().area(),
        (c, v) -> c.withWire(c.wire().withArea(v)));
    port(form, "To the charge port", Unit.METRE, ChargePort::length, ChargePort::withLength);
    port(form, "Before its fuse", Unit.METRE, ChargePort::beforeFuse, ChargePort::withBeforeFuse);
    return form.choiceOrNone(
            "Charge fuse",
            List.of(FuseClass.values()),
            "none",
            FuseClass::label,
            g -> fuse(g).map(Fuse::kind),
            (g, v) -> port(g, c -> c.withFuse(v.map(k -> bigEnough(k, g.charge())).orElse(null))))
        .quantityWhen(
            g -> fuse(g).isPresent(),
            "Charge fuse rating",
            Unit.AMPERE,
            g -> fuse(g).map(Fuse::rating).orElse(0.0),
            (g, v) -> port(g, c -> c.withFuse(fuse(g).map(f -> f.withRating(v)).orElse(null))))
        .choiceOrNone(
            "Charge plug",
            parts.connectors(),
            "wired in",
            Connector::name,
            g -> Optional.ofNullable(g.chargePort().plug()),
            (g, v) -> port(g, c -> c.withPlug(v.orElse(null))))
        .node();
  }

  private static Optional<Fuse> fuse(Guard g) {
    return Optional.ofNullable(g.chargePort().fuse());
  }

  /** A fuse of a class, big enough for the charger. */
  private static Fuse bigEnough(FuseClass kind, ChargePlan charge) {
    double least = charge.current() / Fuse.CONTINUOUS_SHARE;
    double rating =
        kind.sizes().stream().filter(r -> r >= least).findFirst().orElse(kind.sizes().getLast());
    return new Fuse(kind, rating, kind.voltageRating());
  }

  private static Guard port(Guard g, UnaryOperator<ChargePort> change) {
    return g.withChargePort(change.apply(g.chargePort()));
  }

  private static void port(
      GuardForm form,
      String name,
      Unit unit,
      Function<ChargePort, Double> read,
      BiFunction<ChargePort, Double, ChargePort> write) {
    form.quantity(
        name, unit, g -> read.apply(g.chargePort()), (g, v) -> port(g, c -> write.apply(c, v)));
  }
}
