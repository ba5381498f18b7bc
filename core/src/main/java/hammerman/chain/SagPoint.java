package hammerman.chain;

/**
 * Voltage at the machine under the hardest moment, at one state of charge.
 *
 * @param soc state of charge, 0 to 1
 * @param current A
 * @param ohmic voltage at once, V
 * @param tenSeconds voltage after 10 s, V
 * @param settled voltage when settled, V
 */
public record SagPoint(
    double soc, double current, double ohmic, double tenSeconds, double settled) {}
