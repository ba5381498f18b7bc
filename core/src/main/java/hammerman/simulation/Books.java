package hammerman.simulation;

/** What has flowed so far in a run: charge, energy, heat and way. */
final class Books {
  private double delivered;
  private double regenerated;
  private double energyOut;
  private double energyBack;
  private double chemical;
  private double cellHeat;
  private double pathHeat;
  private double refused;
  private double withheld;
  private double distance;

  /** A current out, A, for a time, s, and the energy that it took along, J. */
  void flow(double current, double energy, double dt) {
    if (current >= 0) {
      delivered += current * dt / 3600;
      energyOut += energy;
    } else {
      regenerated -= current * dt / 3600;
      energyBack -= energy;
    }
  }

  /** What a pack's cells gave in its last step, and the heat in them and on the way, J. */
  void heat(PackState state, double current, double dt) {
    chemical += state.chemical();
    cellHeat += state.cellHeat();
    path(state.stripHeat() + current * current * state.leadResistance() * dt);
  }

  /** Heat made outside the cells, J. */
  void path(double joules) {
    pathHeat += joules;
  }

  /** Adds what the cells of a pack gave, and its heat, to those of both. */
  void heat(Books pack) {
    chemical += pack.chemical;
    cellHeat += pack.cellHeat;
    pathHeat += pack.pathHeat;
  }

  /** Braking energy that could not be taken back, J. */
  void refuse(double joules) {
    refused += joules;
  }

  /** Energy asked for above a limit, J. */
  void withhold(double joules) {
    withheld += joules;
  }

  /** A way covered, m. */
  void move(double metres) {
    distance += metres;
  }

  /** Way so far, m. */
  double distance() {
    return distance;
  }

  Run.Totals totals() {
    return new Run.Totals(
        delivered,
        regenerated,
        energyOut,
        energyBack,
        chemical,
        cellHeat,
        pathHeat,
        refused,
        withheld,
        distance);
  }
}
