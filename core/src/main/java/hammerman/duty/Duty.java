package hammerman.duty;

/**
 * What the pack must do.
 *
 * @param machine limits of the machine
 * @param task what is wanted of one charge
 * @param hardest the hardest moment
 * @param surroundings the air around it
 * @param habits how it is used over the years
 * @param bounds mass and money
 */
public record Duty(
    Machine machine,
    Task task,
    Moment hardest,
    Surroundings surroundings,
    Habits habits,
    Bounds bounds) {

  public Duty withMachine(Machine value) {
    return new Duty(value, task, hardest, surroundings, habits, bounds);
  }

  public Duty withTask(Task value) {
    return new Duty(machine, value, hardest, surroundings, habits, bounds);
  }

  public Duty withHardest(Moment value) {
    return new Duty(machine, task, value, surroundings, habits, bounds);
  }

  public Duty withSurroundings(Surroundings value) {
    return new Duty(machine, task, hardest, value, habits, bounds);
  }

  public Duty withHabits(Habits value) {
    return new Duty(machine, task, hardest, surroundings, value, bounds);
  }

  public Duty withBounds(Bounds value) {
    return new Duty(machine, task, hardest, surroundings, habits, value);
  }
}
