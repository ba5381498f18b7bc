package hammerman.build;

import hammerman.build.PartItem.Kind;
import hammerman.design.SecondPack;
import java.util.List;
import org.jspecify.annotations.Nullable;

/** Parts of one pack as they are entered in the list. */
record PartEntries(String prefix, List<PartItem> all) {
  void pieces(
      String key,
      Kind kind,
      String name,
      double quantity,
      double spare,
      @Nullable Double price,
      double mass,
      Stage needed) {
    add(key, kind, name, quantity, spare, "pcs", price, mass, needed);
  }

  void add(
      String key,
      Kind kind,
      String name,
      double quantity,
      double spare,
      String unit,
      @Nullable Double price,
      double mass,
      Stage needed) {
    if (quantity > 0) {
      String whose = prefix.isEmpty() || needed == Stage.PACKS ? "" : ", second pack";
      all.add(
          new PartItem(
              prefix + key, kind, name + whose, quantity, spare, unit, price, mass, needed));
    }
  }

  void junction(SecondPack.Joining joining) {
    switch (joining) {
      case DIODES ->
          pieces(
              "combiner",
              Kind.PROTECTION,
              "Combiner or diodes for both packs' current",
              1,
              0,
              18.0,
              0.15,
              Stage.PACKS);
      case SWITCH_OVER ->
          pieces(
              "change-over",
              Kind.PROTECTION,
              "Change-over switch, break before make, for direct current",
              1,
              0,
              25.0,
              0.3,
              Stage.PACKS);
      case SERIES, PARALLEL ->
          pieces(
              "junction",
              Kind.WIRING,
              "Junction lead for both packs, with connector halves",
              1,
              0,
              6.0,
              0.08,
              Stage.PACKS);
    }
  }

  static void tools(boolean high, List<PartItem> all) {
    tool(all, "tool.meter", "Multimeter with fine tips", Stage.BENCH);
    tool(all, "tool.insulated", "Insulated screwdrivers, cutters and wrench", Stage.BENCH);
    tool(all, "tool.eyes", "Eye protection", Stage.BENCH);
    tool(all, "tool.sand", "Metal bucket with dry sand", Stage.BENCH);
    tool(all, "tool.crimp", "Crimping tool for the lugs", Stage.WIRING);
    tool(all, "tool.thermometer", "Thermometer", Stage.CHARGE);
    if (high) {
      tool(all, "tool.gloves", "Insulating gloves, class 0, in date", Stage.BENCH);
    }
  }

  private static void tool(List<PartItem> all, String key, String name, Stage needed) {
    all.add(new PartItem(key, Kind.TOOLS, name, 1, 0, "pcs", null, 0, needed));
  }
}
