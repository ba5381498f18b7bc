package hammerman.app.station.guard;

import hammerman.design.SecondPack;
import hammerman.guard.Guard;
import hammerman.pack.Pack;
import hammerman.project.Project;
import hammerman.unit.Sentence;
import java.util.function.UnaryOperator;

/** Which pack's guard a form is about. */
enum PackGuard {
  FIRST,
  SECOND;

  /** The name of a field; those of a second pack begin with “Its”. */
  String name(String first) {
    return this == FIRST ? first : "Its " + Sentence.within(first);
  }

  /** Whether the project has this pack. */
  boolean in(Project p) {
    return this == FIRST || p.variant().second() != null;
  }

  Guard read(Project p) {
    SecondPack s = p.variant().second();
    return this == SECOND && s != null ? s.guard() : p.variant().guard();
  }

  Pack pack(Project p) {
    SecondPack s = p.variant().second();
    return this == SECOND && s != null ? s.pack() : p.variant().pack();
  }

  Project write(Project p, UnaryOperator<Guard> change) {
    SecondPack s = p.variant().second();
    if (this == FIRST) {
      return p.withDesign(p.design().withGuard(change.apply(p.variant().guard())));
    }
    return s == null
        ? p
        : p.withDesign(p.design().withSecond(s.withGuard(change.apply(s.guard()))));
  }
}
