package hammerman.build;

import hammerman.design.Design;
import hammerman.design.SecondPack;
import hammerman.forecast.Forecast;
import hammerman.pack.Pack;
import java.util.ArrayList;
import java.util.List;

/**
 * One pack of a design as it stands on the bench: alone. Steps, probe card and first charge are of
 * one pack, whether it is the only one or not.
 *
 * @param forecast of the pack as if it were alone with the machine
 * @param second whether it is the second of two
 */
public record OnePack(Forecast forecast, boolean second) {
  /** Returns the packs of a design in the order in which they are built: one or two. */
  public static List<OnePack> all(Forecast forecast) {
    List<OnePack> packs = new ArrayList<>();
    packs.add(new OnePack(forecast, false));
    SecondPack other = forecast.design().second();
    if (other != null) {
      packs.add(
          new OnePack(
              Forecast.of(
                  forecast
                      .design()
                      .withPack(other.pack())
                      .withGuard(other.guard())
                      .withSecond(null)
                      .withFit(null)),
              true));
    }
    return List.copyOf(packs);
  }

  /** Returns the design with the pack alone, but for the first of two, which keeps the other. */
  public Design design() {
    return forecast.design();
  }

  /** Returns the pack. */
  public Pack pack() {
    return design().pack();
  }

  /** Returns the id of a step of this pack by its id without the pack. */
  public String step(String id) {
    return prefix() + id;
  }

  /** Returns what the ids of its steps begin with. */
  String prefix() {
    return second ? Step.SECOND : "";
  }
}
