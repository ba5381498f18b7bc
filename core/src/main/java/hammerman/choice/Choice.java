package hammerman.choice;

import hammerman.guard.Guard;

/**
 * One part as it was chosen.
 *
 * @param part which part
 * @param chosen what was taken
 * @param why the reason, with its figures
 * @param smaller what the next smaller would do
 * @param larger what the next larger would do
 * @param locked whether it was kept because it is locked
 */
public record Choice(
    Guard.Part part, String chosen, String why, String smaller, String larger, boolean locked) {}
