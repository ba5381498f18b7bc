package hammerman.interconnect;

import hammerman.Samples;
import hammerman.fit.Arrangement;
import hammerman.fit.Container;
import hammerman.fit.FitPlan;
import hammerman.fit.Footprint;
import hammerman.fit.Grouping;
import hammerman.fit.Joining;
import hammerman.fit.Outline;
import hammerman.fit.Packing;
import hammerman.fit.Placing;
import hammerman.fit.Point;
import hammerman.fit.Sheet;
import hammerman.pack.Conductors;
import hammerman.pack.Cooling;
import hammerman.pack.Joint;
import hammerman.pack.Lot;
import hammerman.pack.Pack;
import hammerman.pack.Strip;
import hammerman.pack.TakeOff;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Optional;

/** Layouts that tests of currents and heat start from. */
public final class Layouts {
  public static final Point EXIT = new Point(0, 0);
  public static final double PITCH = 21.5e-3;
  private static final Footprint ROUND = new Footprint(true, 21e-3, 21e-3, 0.5e-3, 70e-3);

  private Layouts() {}

  public static Container box(Outline outline) {
    return box(outline, EXIT);
  }

  /** A box whose leads leave at a point. */
  public static Container box(Outline outline, Point exit) {
    return new Container(outline, 0.08, List.of(), exit, 0);
  }

  /** Cells in a row, one pitch apart, in groups as given. */
  public static Arrangement row(int... group) {
    List<Point> places = new ArrayList<>();
    for (int k = 0; k < group.length; k++) {
      places.add(new Point(k * PITCH, 0));
    }
    return at(places, group);
  }

  /** Cells where they are said to be, in groups as given. */
  public static Arrangement at(List<Point> places, int... group) {
    int series = 1 + Arrays.stream(group).max().orElse(0);
    Placing p = new Placing(places, List.of(new Sheet(0, 0, 0, group.length, 0)), ROUND, 1);
    return new Arrangement(
        p,
        Joining.TOUCHING,
        "",
        List.of(),
        Optional.of(new Grouping(group, series, group.length / series)));
  }

  public static Arrangement arranged(FitPlan plan, int series, int parallel, Strip strip) {
    return Arrangement.of(
        plan,
        new Pack(Samples.cell("b21700"), series, parallel, strip, Cooling.SEALED, Lot.ONE_BATCH));
  }

  public static FitPlan plan(Outline outline) {
    return FitPlan.of(box(outline), new Packing(Packing.Pattern.HEXAGONAL, 5e-4));
  }

  /** Ideal contacts, leads as given. */
  public static Conductors led(TakeOff takeOff) {
    return Conductors.USUAL.withTakeOff(takeOff).withJoint(Joint.SCREWED);
  }
}
