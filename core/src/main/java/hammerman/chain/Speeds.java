package hammerman.chain;

import hammerman.duty.Drive;
import java.util.Optional;

/**
 * Speeds with nothing to pull, m/s; see {@link Drive#unloadedSpeed}.
 *
 * @param full at the charge ceiling
 * @param middle at half charge
 * @param nearlyEmpty at 10 % charge
 * @param perGroup what one more group in series adds at half charge
 */
public record Speeds(double full, double middle, double nearlyEmpty, double perGroup) {
  /** State of charge that counts as nearly empty. */
  private static final double LOW = 0.10;

  /** Returns the speeds of a design whose drive is known. */
  public static Optional<Speeds> of(Chain chain) {
    Drive drive = chain.design().duty().machine().drive();
    if (drive == null) {
      return Optional.empty();
    }
    double middle = chain.path().openCircuit(Chain.MIDDLE);
    return Optional.of(
        new Speeds(
            drive.unloadedSpeed(chain.path().openCircuit(chain.ceiling())),
            drive.unloadedSpeed(middle),
            drive.unloadedSpeed(chain.path().openCircuit(LOW)),
            drive.unloadedSpeed(middle / chain.design().pack().series())));
  }
}
