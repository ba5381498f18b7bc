package hammerman.circuit;

import hammerman.circuit.Part.Kind;
import hammerman.unit.Unit;
import java.util.EnumSet;
import java.util.Set;

/**
 * Current through everything that carries it: the duty's at every duration, the machine's full
 * effort, what nobody ends short of a short circuit, and the short circuit until it is cleared.
 */
final class LinkStresses {
  private final Circuit circuit;

  LinkStresses(Circuit circuit) {
    this.circuit = circuit;
  }

  void fill(Table t) {
    fill(t, EnumSet.allOf(Kind.class));
  }

  /** Only the rows of some kinds of part. */
  void fill(Table t, Set<Kind> kinds) {
    for (Link link : circuit.links()) {
      if (!kinds.contains(link.part().kind())) {
        continue;
      }
      if (link.charging()) {
        charging(t, link);
      } else if (link.part().kind() != Kind.MACHINE && link.part().kind() != Kind.CELLS) {
        duty(t, link);
      }
      faults(t, link);
    }
  }

  /** Only the strips, for quick looks. */
  void strips(Table t) {
    circuit.links().stream().filter(l -> l.part().kind() == Kind.STRIPS).forEach(l -> duty(t, l));
  }

  private void duty(Table t, Link link) {
    DutyCurve duty = circuit.duty();
    int k = duty.worst(link.share(), link.stands());
    t.in(duty.hardest(k) ? State.HARDEST : State.RUNNING, Corner.ANY)
        .lasting(duty.seconds(k))
        .endedBy(Protector.names(link.protectors()))
        .from(link.source())
        .most(
            link.part(),
            Stress.Kind.CURRENT,
            link.share() * duty.amperes(k),
            link.stands().at(duty.seconds(k)),
            Unit.AMPERE);
    t.in(State.EFFORT, Corner.ANY)
        .endedBy(Protector.names(link.protectors()))
        .from(link.source())
        .most(
            link.part(),
            Stress.Kind.EFFORT,
            link.share() * circuit.design().duty().machine().fullEffortCurrent(),
            link.continuous(),
            Unit.AMPERE);
  }

  private void charging(Table t, Link link) {
    boolean second = link.part().second();
    double current = circuit.sides().get(second ? 1 : 0).guard().charge().current();
    double hottest = circuit.design().duty().surroundings().hottestCharging();
    t.in(State.CHARGING, Corner.at(hottest))
        .from(link.source())
        .most(link.part(), Stress.Kind.CHARGE, current, link.continuous(), Unit.AMPERE);
  }

  private static void faults(Table t, Link link) {
    if (Double.isInfinite(link.ruins().at(1))) {
      return;
    }
    String who = Protector.names(link.protectors());
    if (!link.charging()) {
      // A charger cannot overload its lead; anything else can lie across the main circuit.
      Link.Worst o = link.overload();
      t.in(State.OVERLOAD, Corner.ANY)
          .lasting(o.seconds())
          .endedBy(who)
          .from(link.source())
          .most(link.part(), Stress.Kind.OVERLOAD, o.current(), o.limit(), Unit.AMPERE);
    }
    if (link.part().kind() == Kind.CELLS) {
      // For the milliseconds of a fuse cells stand their own short circuit.
      return;
    }
    Link.Worst s = link.shortCircuit();
    t.in(State.SHORT, Corner.full())
        .lasting(s.seconds())
        .endedBy(who)
        .from(link.source())
        .most(link.part(), Stress.Kind.WITHSTAND, s.current(), s.limit(), Unit.AMPERE);
  }
}
