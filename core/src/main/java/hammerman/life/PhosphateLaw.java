package hammerman.life;

import hammerman.numeric.MonotoneCubic;
import hammerman.unit.Reference;

/**
 * Ageing of LFP. Cycle part: J. Wang et al., J. Power Sources 196 (2011) 3942, loss % = B
 * e^(−(31700 − 370.3 C)/(8.314 T)) Ah^0.55 with Ah delivered by the paper's 2.2 Ah cell. Calendar
 * part: M. Naumann et al., J. Energy Storage 17 (2018) 153, loss = k √t with t in s.
 */
record PhosphateLaw() implements AgeingLaw {
  private static final double PAPER_CAPACITY = 2.2;
  private static final double LEAST_RATE = 0.5;
  private static final double MOST_RATE = 10;

  /** B over C-rate, from the paper's four rates. */
  private static final MonotoneCubic PRE_EXPONENTIAL =
      new MonotoneCubic(
          new double[] {LEAST_RATE, 2, 6, MOST_RATE}, new double[] {31630, 21681, 12934, 15512});

  @Override
  public double calendarExponent() {
    return 0.5;
  }

  /** k √(1 day). */
  @Override
  public double calendarRate(Conditions.Rest rest) {
    double warmth = Math.exp(-17126 / 8.314 * (1 / rest.temperature() - 1 / Reference.ROOM));
    double charge = 2.8575 * Math.pow(rest.soc() - 0.5, 3) + 0.60225;
    return 1.2571e-5 * warmth * charge * Math.sqrt(86400);
  }

  @Override
  public double cycleExponent() {
    return 0.55;
  }

  @Override
  public double cycleRate(Conditions.Cycling cycling) {
    double c = Math.clamp(cycling.rate(), LEAST_RATE, MOST_RATE);
    return PRE_EXPONENTIAL.value(c)
        * Math.exp(-(31700 - 370.3 * c) / (8.314 * cycling.temperature()))
        / 100;
  }

  @Override
  public double throughputPerEquivalentCycle() {
    return PAPER_CAPACITY;
  }

  @Override
  public double calendarResistanceRate(Conditions.Rest rest) {
    return 0;
  }

  @Override
  public double cycleResistanceRate(Conditions.Cycling cycling) {
    return 0;
  }

  @Override
  public boolean knowsResistance() {
    return false;
  }

  @Override
  public String source() {
    return "cycling: Wang et al., J. Power Sources 196 (2011) 3942; calendar: Naumann et al., J."
        + " Energy Storage 17 (2018) 153";
  }

  @Override
  public String validity() {
    return "cycling: 15 to 60 °C, C/2 to 10 C; calendar: 0 to 60 °C, 0 to 100 % SOC";
  }

  @Override
  public boolean extrapolates(Conditions conditions) {
    Conditions.Cycling cycling = conditions.cycling();
    return conditions.rests().stream()
            .anyMatch(r -> r.temperature() < 273.15 || r.temperature() > 333.15)
        || cycling.temperature() < 288.15
        || cycling.temperature() > 333.15
        || cycling.rate() < LEAST_RATE
        || cycling.rate() > MOST_RATE;
  }

  @Override
  public boolean indicative() {
    return false;
  }
}
