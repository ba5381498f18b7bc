package hammerman.datasheet;

import hammerman.cell.CellFormat;
import hammerman.cell.CellType;
import hammerman.unit.Figures;
import hammerman.unit.Unit;
import java.util.ArrayList;
import java.util.List;

/**
 * What looks unlikely in a cell's figures: values far from what cells of any class reach. Limits
 * are typical practice, set wide; a doubt is a reason to read the datasheet again, not an error.
 */
public final class Plausibility {
  private static final double MOST_WH_PER_KG = 300;
  private static final double LEAST_WH_PER_KG = 30;
  private static final double MOST_WH_PER_LITRE = 800;
  private static final double MOST_SAG = 0.25;
  private static final double LEAST_SAG = 0.005;
  private static final double MOST_DENSITY = 3300;
  private static final double LEAST_DENSITY = 1200;
  private static final double MOST_CHARGE_RATE = 6;

  private Plausibility() {}

  /** Returns the doubts in sentences, none if all looks likely. */
  public static List<String> doubts(CellType c) {
    List<String> doubts = new ArrayList<>();
    double perMass = c.energy() / 3600 / c.mass();
    if (perMass > MOST_WH_PER_KG || perMass < LEAST_WH_PER_KG) {
      doubts.add(
          "%s × %s in %s is %s Wh/kg; cells lie between %.0f and %.0f."
              .formatted(
                  Figures.of(c.capacity(), Unit.AMPERE_HOUR),
                  Figures.of(c.nominalVoltage(), Unit.VOLT),
                  Figures.of(c.mass(), Unit.GRAM),
                  Figures.number(perMass),
                  LEAST_WH_PER_KG,
                  MOST_WH_PER_KG));
    }
    double volume = volume(c.format());
    double perLitre = c.energy() / 3600 / (volume * 1000);
    if (perLitre > MOST_WH_PER_LITRE) {
      doubts.add(
          "%s Wh in its size is %s Wh/L; cells reach %.0f."
              .formatted(
                  Figures.number(c.energy() / 3600), Figures.number(perLitre), MOST_WH_PER_LITRE));
    }
    double density = c.mass() / volume;
    if (density > MOST_DENSITY || density < LEAST_DENSITY) {
      doubts.add(
          "%s in its size is %s kg/L; cells lie between 1.2 and 3.3."
              .formatted(Figures.of(c.mass(), Unit.GRAM), Figures.number(density / 1000)));
    }
    double sag = c.currents().continuous() * c.r10() / c.nominalVoltage();
    if (sag > MOST_SAG) {
      doubts.add(
          "At its rated %s the cell would drop %s of its voltage; resistance or rating is wrong."
              .formatted(
                  Figures.of(c.currents().continuous(), Unit.AMPERE),
                  Figures.of(sag, Unit.PERCENT, 0)));
    } else if (sag < LEAST_SAG) {
      doubts.add(
          "At its rated %s the cell would drop only %s of its voltage; is the resistance in mΩ and"
                  .formatted(
                      Figures.of(c.currents().continuous(), Unit.AMPERE),
                      Figures.of(sag, Unit.PERCENT))
              + " the 10 s value, not the 1 kHz one?");
    }
    double rate = c.currents().fastCharge() / c.capacity();
    if (rate > MOST_CHARGE_RATE) {
      doubts.add(
          "A fast charge of %s is %s C; hardly a cell takes that."
              .formatted(Figures.of(c.currents().fastCharge(), Unit.AMPERE), Figures.number(rate)));
    }
    double typical = c.chemistry().nominalVoltage();
    if (Math.abs(c.nominalVoltage() - typical) > 0.35) {
      doubts.add(
          "A nominal %s is far from the %s usual for %s."
              .formatted(
                  Figures.of(c.nominalVoltage(), Unit.VOLT, 2),
                  Figures.of(typical, Unit.VOLT, 2),
                  c.chemistry().label()));
    }
    return doubts;
  }

  private static double volume(CellFormat format) {
    return switch (format) {
      case CellFormat.Cylinder f -> Math.PI / 4 * f.diameter() * f.diameter() * f.height();
      case CellFormat.Block f -> f.width() * f.thickness() * f.height();
    };
  }
}
