package hammerman.fit;

import hammerman.cell.CellFormat;

/**
 * What a standing cell takes of the floor, with the gap to its neighbours; lengths in m.
 *
 * @param round a circle, else a rectangle
 * @param width along the rows
 * @param thickness across the rows
 * @param gap to a neighbour
 * @param height of the cell
 */
public record Footprint(boolean round, double width, double thickness, double gap, double height) {
  static Footprint of(CellFormat format, double gap) {
    return switch (format) {
      case CellFormat.Cylinder c ->
          new Footprint(true, c.diameter(), c.diameter(), gap, c.height());
      case CellFormat.Block b -> new Footprint(false, b.width(), b.thickness(), gap, b.height());
    };
  }

  /** Distance between neighbours' middles along a row. */
  double across() {
    return width + gap;
  }

  /** Distance between neighbours' middles from row to row of blocks. */
  double stacked() {
    return thickness + gap;
  }

  /** Returns the least distance between neighbours' middles, m. */
  public double pitch() {
    return Math.min(across(), stacked());
  }

  /** Returns the radius of the largest circle inside, m. */
  public double radius() {
    return Math.min(width, thickness) / 2;
  }

  /**
   * Returns the heat that two neighbours exchange through what lies between them, W/K.
   *
   * <p>Blocks: conductivity · facing side / gap. Cylinders: the gap widens as a parabola from its
   * narrowest place, s + x²/r, which integrates to π √(r/s) times conductivity and height; valid
   * for gaps well below the radius. Gaps below 0.1 mm count as 0.1 mm.
   *
   * @param conductivity of what lies between, W/(m K)
   * @param distance of their middles, m
   */
  public double conductance(double conductivity, double distance) {
    double s = Math.max(gap, 1e-4);
    if (round) {
      return conductivity * Math.PI * Math.sqrt(radius() / s) * height;
    }
    boolean side = Math.abs(distance - across()) < Math.abs(distance - stacked());
    return conductivity * (side ? thickness : width) * height / s;
  }

  /** Returns the open side of a cell, m². */
  public double side() {
    return height * (round ? Math.PI * width : 2 * (width + thickness));
  }

  /** Returns the area of one end, m². */
  public double end() {
    return round ? Math.PI * radius() * radius() : width * thickness;
  }

  /** Neighbours that close a cell in on all sides. */
  public int enclosing(Packing.Pattern pattern) {
    return round && pattern == Packing.Pattern.HEXAGONAL ? 6 : 4;
  }
}
