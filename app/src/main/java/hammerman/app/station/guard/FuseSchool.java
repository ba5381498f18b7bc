package hammerman.app.station.guard;

import hammerman.guard.Fuse;
import hammerman.guard.FuseClass;
import hammerman.guard.Fusing;
import hammerman.guard.Guard;

/** The schools of fusing as a choice. */
enum FuseSchool {
  MAIN("One main fuse"),
  CELLS("Main, and each cell"),
  NONE("BMS only");

  private static final Fuse PLAIN =
      new Fuse(FuseClass.BOLT_DOWN, 60, FuseClass.BOLT_DOWN.voltageRating());
  private static final double CELL = 10;

  private final String words;

  FuseSchool(String words) {
    this.words = words;
  }

  String words() {
    return words;
  }

  static FuseSchool of(Fusing fusing) {
    return switch (fusing) {
      case Fusing.MainFuse f -> MAIN;
      case Fusing.MainAndCells f -> CELLS;
      case Fusing.BmsOnly f -> NONE;
    };
  }

  Fusing apply(Guard g) {
    Fuse fuse = g.fuse().orElse(PLAIN);
    return switch (this) {
      case MAIN -> new Fusing.MainFuse(fuse);
      case CELLS -> new Fusing.MainAndCells(fuse, CELL);
      case NONE -> new Fusing.BmsOnly();
    };
  }
}
