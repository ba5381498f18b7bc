package hammerman.build;

import de.siegmar.fastcsv.writer.CsvWriter;
import hammerman.design.SecondPack;
import hammerman.duty.LeadBattery;
import hammerman.forecast.Forecast;
import hammerman.table.CellText;
import hammerman.unit.Figures;
import java.io.IOException;
import java.io.StringWriter;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.function.Predicate;

/**
 * Everything that a build needs, from cells to insulating rings, with what it costs and weighs.
 *
 * @param items sort by sort
 * @param takenOut mass of what the pack takes the place of, kg; 0 for nothing
 */
public record PartsList(List<PartItem> items, double takenOut) {
  /** Energy of a sealed lead battery by its mass at its 20 h rating, J/kg; typical 32 Wh/kg. */
  private static final double LEAD = 32 * 3600.0;

  public PartsList {
    items = List.copyOf(items);
  }

  /** Lists what a design needs. */
  public static PartsList of(Forecast forecast) {
    return of(forecast, Map.of());
  }

  /**
   * Lists what a design needs.
   *
   * @param prices of one unit by the key of the part, where the builder knows better
   */
  public static PartsList of(Forecast forecast, Map<String, Double> prices) {
    List<PartItem> all = new ArrayList<>();
    List<Ground> packs = OnePack.all(forecast).stream().map(p -> new Ground(p, Map.of())).toList();
    Ground first = packs.getFirst();
    PartEntries parts = new PartEntries("", all);
    new CellParts(first, parts).add();
    new WiringParts(first, parts).add(true);
    boolean high = first.isHigh();
    SecondPack second = forecast.design().second();
    if (second != null) {
      Ground other = packs.getLast();
      high |= first.pack().fullVoltage() + other.pack().fullVoltage() > Ground.TOUCH;
      PartEntries more = new PartEntries(Step.SECOND, all);
      new CellParts(other, more).add();
      new WiringParts(other, more).add(false);
      more.junction(second.joining());
    }
    PartEntries.tools(high, all);
    LeadBattery out = forecast.design().duty().replaces();
    return new PartsList(
        all.stream()
            .map(p -> p.priced(prices.get(p.key())))
            .sorted(Comparator.comparing(PartItem::kind))
            .toList(),
        out == null ? 0 : out.voltage() * out.capacity() * 3600 / LEAD);
  }

  /** Returns the price of all that has one. */
  public double price() {
    return items.stream().mapToDouble(PartItem::cost).filter(c -> !Double.isNaN(c)).sum();
  }

  /** Returns the parts whose price is not known. */
  public List<PartItem> unpriced() {
    return items.stream().filter(p -> p.price() == null).toList();
  }

  /** Returns the mass of all that is built in, kg. */
  public double mass() {
    return items.stream().mapToDouble(PartItem::built).sum();
  }

  /** Returns by how much the machine gets heavier, kg; below 0 if it gets lighter. */
  public double netMass() {
    return mass() - takenOut;
  }

  /**
   * Returns the stages that cannot begin, each with what it lacks.
   *
   * @param missing whether a part is not there
   */
  public Map<Stage, List<PartItem>> held(Predicate<PartItem> missing) {
    Map<Stage, List<PartItem>> all = new EnumMap<>(Stage.class);
    items.stream()
        .filter(missing)
        .forEach(p -> all.computeIfAbsent(p.needed(), k -> new ArrayList<>()).add(p));
    return all;
  }

  /**
   * Returns it as a table.
   *
   * @param had keys of the parts that are there
   */
  public String csv(Set<String> had) {
    StringWriter text = new StringWriter();
    try (CsvWriter csv = CsvWriter.builder().build(text)) {
      csv.writeRecord(
          "key",
          "kind",
          "part",
          "quantity",
          "spare",
          "unit",
          "price each",
          "price",
          "mass_kg",
          "there");
      for (PartItem p : items) {
        csv.writeRecord(
            p.key(),
            p.kind().label(),
            CellText.written(p.name()),
            Figures.compact(p.quantity()),
            Figures.compact(p.spare()),
            p.unit(),
            p.price() == null ? "" : Figures.fixed(p.price(), 2),
            p.price() == null ? "" : Figures.fixed(p.cost(), 2),
            Figures.compact(p.built()),
            had.contains(p.key()) ? "yes" : "");
      }
    } catch (IOException e) {
      throw new IllegalStateException("writing to memory failed", e);
    }
    return text.toString();
  }
}
