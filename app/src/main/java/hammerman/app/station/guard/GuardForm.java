package hammerman.app.station.guard;

import hammerman.app.control.Form;
import hammerman.app.session.Session;
import hammerman.finding.Station;
import hammerman.guard.Guard;
import hammerman.unit.Unit;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.function.BiFunction;
import java.util.function.Function;
import java.util.function.Predicate;
import javafx.scene.layout.VBox;
import org.jspecify.annotations.Nullable;

/** A form whose fields read and write the guard of one pack, shown while that pack is there. */
final class GuardForm {
  private final PackGuard whose;
  private final Form form;

  GuardForm(Session session, PackGuard whose, double labelWidth, double fieldWidth) {
    this.whose = whose;
    this.form = new Form(session, Station.GUARD, labelWidth, fieldWidth);
  }

  /** A form in the usual widths. */
  GuardForm(Session session, PackGuard whose) {
    this(session, whose, 118, 66);
  }

  VBox node() {
    return form.node();
  }

  /** The form itself, for a field that needs the whole project. */
  Form whole() {
    return form;
  }

  GuardForm section(String title) {
    form.sectionWhen(title, whose::in);
    return this;
  }

  GuardForm quantity(
      String name,
      Unit unit,
      Function<Guard, Double> read,
      BiFunction<Guard, Double, Guard> write) {
    return quantityWhen(g -> true, name, unit, read, write);
  }

  GuardForm quantityWhen(
      Predicate<Guard> applies,
      String name,
      Unit unit,
      Function<Guard, Double> read,
      BiFunction<Guard, Double, Guard> write) {
    form.quantityWhen(
        p -> whose.in(p) && applies.test(whose.read(p)),
        whose.name(name),
        unit,
        p -> read.apply(whose.read(p)),
        (p, v) -> whose.write(p, g -> write.apply(g, v)));
    return this;
  }

  GuardForm countWhen(
      Predicate<Guard> applies,
      String name,
      Function<Guard, Integer> read,
      BiFunction<Guard, Integer, Guard> write) {
    form.count(
        whose.name(name),
        p -> read.apply(whose.read(p)),
        (p, n) -> whose.write(p, g -> write.apply(g, n)),
        p -> whose.in(p) && applies.test(whose.read(p)));
    return this;
  }

  GuardForm optional(
      String name,
      Unit unit,
      Function<Guard, @Nullable Double> read,
      BiFunction<Guard, @Nullable Double, Guard> write) {
    form.optional(
        whose.name(name),
        unit,
        p -> read.apply(whose.read(p)),
        (p, v) -> whose.write(p, g -> write.apply(g, v)));
    return this;
  }

  <T> GuardForm choice(
      String name,
      List<T> values,
      Function<T, String> words,
      Function<Guard, T> read,
      BiFunction<Guard, T, Guard> write) {
    return choiceWhen(g -> true, name, values, words, read, write);
  }

  <T> GuardForm choiceWhen(
      Predicate<Guard> applies,
      String name,
      List<T> values,
      Function<T, String> words,
      Function<Guard, T> read,
      BiFunction<Guard, T, Guard> write) {
    form.choiceWhen(
        p -> whose.in(p) && applies.test(whose.read(p)),
        whose.name(name),
        values,
        words,
        p -> read.apply(whose.read(p)),
        (p, v) -> whose.write(p, g -> write.apply(g, v)));
    return this;
  }

  /** Adds a choice of which one may be none. */
  <T> GuardForm choiceOrNone(
      String name,
      List<T> values,
      String none,
      Function<T, String> words,
      Function<Guard, Optional<T>> read,
      BiFunction<Guard, Optional<T>, Guard> write) {
    List<Optional<T>> all = new ArrayList<>();
    all.add(Optional.empty());
    values.forEach(v -> all.add(Optional.of(v)));
    return choice(name, all, o -> o.map(words).orElse(none), read, write);
  }
}
