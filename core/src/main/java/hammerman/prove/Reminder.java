package hammerman.prove;

import java.time.LocalDate;
import java.time.Month;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;

/**
 * What is to be done with a pack in use, and when.
 *
 * @param on day of it
 * @param key that stays the same for the same duty on the same day
 * @param words to do
 */
public record Reminder(LocalDate on, String key, String words) {
  private static final int CHECK_UP_MONTHS = 6;
  private static final int RETIGHTEN_DAYS = 30;

  /** Winter is near in the northern half of the earth from then on. */
  private static final Month STORE = Month.NOVEMBER;

  /**
   * Returns what is to come.
   *
   * @param built day on which the pack was built or first used
   * @param lastCheckUp day of the last; the day it was built if there was none
   * @param today nothing before it is listed
   * @param storage state of charge to store it at, in words
   */
  public static List<Reminder> of(
      LocalDate built, LocalDate lastCheckUp, LocalDate today, String storage) {
    List<Reminder> all = new ArrayList<>();
    LocalDate tight = built.plusDays(RETIGHTEN_DAYS);
    if (!tight.isBefore(today)) {
      all.add(
          new Reminder(
              tight,
              "retighten",
              "retighten lugs and screws, fuse out; look for rubbed paper and pinched leads"));
    }
    LocalDate next = lastCheckUp.plusMonths(CHECK_UP_MONTHS);
    all.add(
        new Reminder(
            next.isBefore(today) ? today : next,
            "check-up",
            "check-up: rest voltage of every group, one full run with its log"));
    LocalDate store = LocalDate.of(today.getYear(), STORE, 1);
    all.add(
        new Reminder(
            store.isBefore(today) ? store.plusYears(1) : store,
            "storage",
            "before winter: bring it to %s, dry and cool, never below 0 °C when charged"
                .formatted(storage)));
    all.sort(Comparator.comparing(Reminder::on));
    return all;
  }
}
