package hammerman.cell;

import hammerman.unit.Figures;
import hammerman.unit.In;
import hammerman.unit.Unit;
import hammerman.unit.Valid;

/** The shape and size of a cell; lengths in m. */
public sealed interface CellFormat {
  /** Returns the height along the terminals, m. */
  double height();

  /** Returns the floor area that one cell takes when packed closely, m². */
  double packedFootprint();

  /** Returns the area of one end, m². */
  double end();

  /** Returns the distance between neighbours' terminals, m. */
  double pitch();

  /** Returns the size as people write it, in mm. */
  String sizeText();

  /** A round cell. */
  record Cylinder(@In(Unit.MILLIMETRE) double diameter, @In(Unit.MILLIMETRE) double height)
      implements CellFormat {
    /** Gap between neighbours in a glued or held pack, m (typical). */
    private static final double GAP = 0.5e-3;

    public Cylinder {
      Valid.range("Cell diameter", diameter, 4e-3, 0.2, Unit.MILLIMETRE);
      Valid.range("Cell height", height, 5e-3, 0.5, Unit.MILLIMETRE);
    }

    /** Hexagonal packing: pitch² √3/2. */
    @Override
    public double packedFootprint() {
      return pitch() * pitch() * Math.sqrt(3) / 2;
    }

    @Override
    public double end() {
      return Math.PI * diameter * diameter / 4;
    }

    @Override
    public double pitch() {
      return diameter + GAP;
    }

    @Override
    public String sizeText() {
      return "⌀" + Figures.plain(diameter * 1e3) + " × " + Figures.exact(height, Unit.MILLIMETRE);
    }
  }

  /** A block or a pouch. */
  record Block(
      @In(Unit.MILLIMETRE) double width,
      @In(Unit.MILLIMETRE) double thickness,
      @In(Unit.MILLIMETRE) double height,
      boolean pouch)
      implements CellFormat {
    public Block {
      Valid.range("Cell width", width, 5e-3, 1, Unit.MILLIMETRE);
      Valid.range("Cell thickness", thickness, 1e-3, 0.5, Unit.MILLIMETRE);
      Valid.range("Cell height", height, 5e-3, 1, Unit.MILLIMETRE);
    }

    @Override
    public double packedFootprint() {
      return width * thickness;
    }

    @Override
    public double end() {
      return width * thickness;
    }

    @Override
    public double pitch() {
      return thickness;
    }

    @Override
    public String sizeText() {
      return Figures.plain(width * 1e3)
          + " × "
          + Figures.plain(thickness * 1e3)
          + " × "
          + Figures.exact(height, Unit.MILLIMETRE);
    }
  }
}
