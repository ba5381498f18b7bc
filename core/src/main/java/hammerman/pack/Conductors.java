package hammerman.pack;

import hammerman.unit.Valid;
import io.soabase.recordbuilder.core.RecordBuilder;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;

/**
 * How the current is led through a layout. The pack's own {@link Strip} lies everywhere but on the
 * plates named here.
 *
 * <p>Plates are counted from 0, the negative end of the first group, to the series count, the
 * positive end of the last; odd ones lie on the upper face.
 *
 * @param takeOff where the leads are taken off
 * @param joint how strip meets a terminal
 * @param link what joins groups that do not touch, between blocks, layers and boxes
 * @param special plates with a strip of their own
 */
@RecordBuilder
public record Conductors(TakeOff takeOff, Joint joint, Strip link, List<Special> special)
    implements ConductorsBuilder.With {
  /** A usual choice to begin with: a copper braid or bar of 10 mm² as link. */
  public static final Conductors USUAL =
      new Conductors(
          TakeOff.ONE_CELL,
          Joint.WELDED,
          Strip.plain(ConductorMaterial.COPPER, 1e-3, 10e-3, 1),
          List.of());

  public Conductors {
    special = List.copyOf(special);
    Valid.count("Plates with a strip of their own", special.size(), 0, Pack.MOST_SERIES + 1);
  }

  /**
   * A plate with a strip of its own.
   *
   * @param plate its number, from 0
   * @param strip what it is made of
   */
  public record Special(int plate, Strip strip) {
    public Special {
      Valid.count("Plate", plate, 0, Pack.MOST_SERIES);
    }
  }

  /** Returns the strip of a plate. */
  public Strip on(int plate, Strip usual) {
    return special.stream()
        .filter(s -> s.plate() == plate)
        .findFirst()
        .map(Special::strip)
        .orElse(usual);
  }

  /** Returns these with a strip of its own on a plate. */
  public Conductors with(int plate, Strip strip) {
    List<Special> more = new ArrayList<>(without(plate).special());
    more.add(new Special(plate, strip));
    more.sort(Comparator.comparingInt(Special::plate));
    return withSpecial(more);
  }

  /** Returns these with the usual strip on a plate. */
  public Conductors without(int plate) {
    return withSpecial(special.stream().filter(s -> s.plate() != plate).toList());
  }
}
