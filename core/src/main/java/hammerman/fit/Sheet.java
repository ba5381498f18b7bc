package hammerman.fit;

/**
 * A layer of cells in a box: a range of places. Cells touch only within one.
 *
 * @param box which box, from 0
 * @param layer which layer of it, from 0 at the floor
 * @param first its first place
 * @param end the place after its last
 * @param turn of the pattern, rad
 */
public record Sheet(int box, int layer, int first, int end, double turn) {
  /** Returns how many cells stand in it. */
  public int size() {
    return end - first;
  }
}
