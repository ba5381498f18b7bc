package hammerman.app.station.stack;

import hammerman.app.picture.Pen;
import hammerman.app.picture.Picture;
import hammerman.app.picture.Plot;
import hammerman.app.picture.Role;
import hammerman.app.picture.Scale;
import hammerman.pack.Pack;
import hammerman.search.Candidate;
import java.util.List;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;

/**
 * The stacks that serve, by mass and life; those that nothing beats in everything are filled. Where
 * a small duty is served by hundreds of heavy packs, those are counted and not drawn.
 */
final class SearchScatter extends Picture {
  private static final int NAMED = 2;

  /** Drawn are packs of so many times the mass of the knee and of those named, at most. */
  private static final double MOST_MASS = 4;

  private @Nullable Candidate knee;
  private List<Candidate> candidates = List.of();

  SearchScatter() {
    super("Stacks that serve the duty, by mass and life");
  }

  /**
   * @param ranked best first; the first are named
   * @param trade beyond which each year costs more mass, if there is one
   */
  void show(List<Candidate> ranked, @Nullable Candidate trade) {
    candidates = ranked;
    knee = trade;
    redraw();
  }

  private List<Candidate> drawn() {
    double most =
        Stream.concat(candidates.stream().limit(NAMED), Stream.ofNullable(knee))
                .mapToDouble(Candidate::mass)
                .max()
                .orElse(0)
            * MOST_MASS;
    return candidates.stream().filter(c -> c.mass() <= most).toList();
  }

  @Override
  protected void paint(Pen pen, double width, double height) {
    if (candidates.isEmpty()) {
      return;
    }
    List<Candidate> drawn = drawn();
    double heaviest = drawn.stream().mapToDouble(Candidate::mass).max().orElse(1);
    double lightest = drawn.stream().mapToDouble(Candidate::mass).min().orElse(0);
    double longest = drawn.stream().mapToDouble(Candidate::years).max().orElse(1);
    double room = Math.max(0.2, 0.12 * (heaviest - lightest));
    Scale x = new Scale(Math.max(0, lightest - room), heaviest + room, 44, width - 14);
    Scale y = new Scale(0, 1.18 * longest, height - 26, 24);
    new Plot(pen, x, y).vertical("Life, years").horizontal("Mass, kg");
    int left = candidates.size() - drawn.size();
    if (left > 0) {
      pen.nameBefore(Role.SOFT, Pen.TEXT, x.to(), 12, left + " heavier ones are not drawn");
    }
    for (Candidate c : candidates.subList(0, Math.min(NAMED, candidates.size()))) {
      Pack pack = c.design().pack();
      String name = c.counts() + " " + pack.cell().name();
      pen.beside(Role.INK, Pen.TEXT, x.at(c.mass()), y.at(c.years()), 8, name);
    }
    Candidate knee = this.knee;
    if (knee != null) {
      double px = x.at(knee.mass());
      double py = y.at(knee.years());
      pen.ring(Role.HOT, 1.6, px, py, 8);
      pen.beside(Role.HOT, Pen.TEXT, px, py - 14, 6, "knee: " + knee.counts());
    }
    for (Candidate c : drawn) {
      double px = x.at(c.mass());
      double py = y.at(c.years());
      pen.mark(Role.COOL, px, py, 4.5);
      if (!c.best()) {
        pen.dot(Role.PAPER, px, py, 3);
      }
    }
  }
}
