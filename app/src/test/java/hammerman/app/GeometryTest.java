package hammerman.app;

import static org.assertj.core.api.Assertions.assertThat;

import hammerman.app.shell.Frame;
import hammerman.app.theme.Theme;
import hammerman.cell.CellType;
import hammerman.cell.Health;
import hammerman.design.Design;
import hammerman.design.SecondPack;
import hammerman.design.SecondPack.Joining;
import hammerman.duty.Drive;
import hammerman.duty.Task;
import hammerman.finding.Station;
import hammerman.guard.Protection;
import hammerman.pack.Lot;
import hammerman.project.Project;
import hammerman.project.Shipped;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Random;
import java.util.stream.IntStream;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;

/**
 * Whatever the design, the window and the scale: no words are cut short, reach out of their ground
 * or lie over others, in any view; and the worked example scrolls nowhere at the usual size.
 */
class GeometryTest extends AtTheDesk {
  private static final int DESIGNS = Integer.getInteger("hammerman.designs", 4);
  private static final int FIRST = Integer.getInteger("hammerman.firstDesign", 0);

  /** Windows and scales; each design is drawn in one of them, or in as many as are asked for. */
  private static final double[][] WINDOWS = {
    {1280, 800, 1},
    {1000, 640, 1.5},
    {1280, 800, 2},
    {1000, 640, 1},
    {1280, 800, 1.5},
    {1180, 800, 1},
    {2560, 1440, 1},
    {1920, 1080, 2}
  };

  /** A task that hundreds of stacks serve, many of them far too large, W. */
  private static final double LITTLE = 40;

  private static final int WINDOWS_EACH = Integer.getInteger("hammerman.windows", 1);

  static IntStream drawn() {
    return IntStream.range(FIRST, FIRST + DESIGNS);
  }

  @ParameterizedTest
  @MethodSource("drawn")
  void everyViewShowsItsWordsWhole(int number) {
    Project project = project(number, new Random(number));
    Desk.fx(
        () -> {
          desk.session.edit("as drawn", Station.DUTY, p -> project);
          return null;
        });
    List<String> faults = new ArrayList<>();
    // What a view shows is worked out once; all windows are looked at then.
    desk.everyView(
        (station, view) -> {
          for (int at : windows(number)) {
            double[] window = WINDOWS[at];
            String where =
                "%s %s of %s at %.0fx%.0f, %.0f %%: "
                    .formatted(
                        station,
                        view,
                        project.design().pack().counts(),
                        window[0],
                        window[1],
                        100 * window[2]);
            draw(window, theme(number, at)).forEach(f -> faults.add(where + f));
            if (number == 0 && at == 0 && Desk.fx(() -> Geometry.scrolls(desk.frame.root()))) {
              faults.add(where + "scrolls");
            }
          }
        });
    assertThat(faults).isEmpty();
  }

  /** The windows of a design, first those in the theme that there is: another one takes long. */
  private List<Integer> windows(int number) {
    Theme now = Desk.fx(() -> desk.frame.theme());
    return IntStream.range(0, WINDOWS_EACH)
        .mapToObj(k -> (number + k) % WINDOWS.length)
        .sorted(Comparator.comparing(at -> theme(number, at) != now))
        .toList();
  }

  private static Theme theme(int number, int window) {
    boolean day = (number / WINDOWS.length + number + window) % 2 == 0;
    return day ? Theme.DAY : Theme.NIGHT;
  }

  /** Shows what is there in a window of another size, and returns what is wrong with it. */
  private List<String> draw(double[] window, Theme theme) {
    Desk.fx(
        () -> {
          // The screen that there is offscreen is smaller than some of the windows.
          desk.frame.root().resize(window[0], window[1]);
          desk.frame.setTheme(theme);
          scale(desk.frame, window[2]);
          return null;
        });
    desk.quiet();
    return Desk.fx(
        () -> Geometry.faults(desk.stage.getScene(), window[2]).stream().distinct().toList());
  }

  private static void scale(Frame frame, double wanted) {
    for (double s = 2; s > 1.01; s -= 0.1) {
      frame.smaller();
    }
    for (double s = 1; s < wanted - 0.01; s += 0.1) {
      frame.larger();
    }
  }

  /** A project like none of the examples; the first three are those themselves. */
  private static Project project(int number, Random random) {
    Shipped.Example[] all = Shipped.Example.values();
    Project base = Shipped.example(all[number % all.length]);
    if (number < all.length) {
      return base;
    }
    List<CellType> cells = Shipped.cells().cells();
    Design d = base.design();
    int series = random.nextInt(4) == 0 ? 1 + random.nextInt(30) : 3 + random.nextInt(15);
    int parallel = 1 + random.nextInt(random.nextInt(3) == 0 ? 25 : 8);
    d = d.withCell(cells.get(random.nextInt(cells.size()))).withCounts(series, parallel);
    if (random.nextInt(3) == 0) {
      d = d.withGuard(d.guard().withProtection(new Protection.None()));
    }
    if (random.nextInt(2) == 0) {
      double full = series * d.pack().cell().fullVoltage();
      d = d.withGuard(d.guard().withCharge(d.guard().charge().withVoltage(full)));
    }
    if (random.nextInt(3) == 0) {
      d =
          d.withDuty(
              d.duty()
                  .withHardest(
                      d.duty()
                          .hardest()
                          .withCurrent(Math.rint(Math.pow(10, 3.5 * random.nextDouble())))));
    }
    if (random.nextInt(3) == 0) {
      Joining[] ways = Joining.values();
      d =
          d.withSecond(
              new SecondPack(
                  d.pack()
                      .withCell(d.pack().cell().withHealth(new Health(0.8, 1.5)))
                      .withLot(Lot.MIXED),
                  d.guard(),
                  ways[random.nextInt(ways.length)],
                  0.3 + 0.1 * random.nextInt(8),
                  1));
    }
    Drive drive = d.duty().machine().drive();
    if (drive != null && random.nextBoolean()) {
      d = d.withDuty(d.duty().withMachine(d.duty().machine().withDrive(drive.withMotor(null))));
    }
    if (number % 5 == 4) {
      d = d.withDuty(d.duty().withTask(new Task.ByTime(LITTLE, 3600)));
    }
    Project p = base.withDesign(d);
    return random.nextBoolean() ? p.withName("Spare pack for the upper terrace") : p;
  }
}
