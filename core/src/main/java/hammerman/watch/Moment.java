package hammerman.watch;

/**
 * What the watch knows at one moment of a charge; every rule reads it. Times are the watch's own:
 * those of the device while its clock goes on, else those of this machine.
 *
 * @param frame the latest readings
 * @param silence since the last readings that told something new, s
 * @param still since the device's clock last went on, s
 * @param clock how far the device's clock went within {@link WatchHistory#WINDOW}, as a share of
 *     this machine's; not a number before
 * @param leaps how often the device's clock has leapt
 * @param charge put in so far, Ah
 * @param taken since current began to flow, s; not a number before
 * @param idle since current last flowed, s
 * @param frozen since any reading last changed, s
 * @param sensors most temperature sensors that were read so far; at least one is wanted
 * @param warming of the sensor that warms fastest, K over {@link WatchHistory#WINDOW}
 * @param risen the median rise of the groups since the first complete frame, V
 * @param stuck the first group that has not moved since then; −1 if there is none
 */
record Moment(
    ChargeFrame frame,
    double silence,
    double still,
    double clock,
    int leaps,
    double charge,
    double taken,
    double idle,
    double frozen,
    int sensors,
    double warming,
    double risen,
    int stuck) {}
