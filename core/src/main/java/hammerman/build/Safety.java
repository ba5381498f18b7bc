package hammerman.build;

import java.util.List;
import java.util.Set;

/**
 * What can go wrong in a step, and what it does about that.
 *
 * @param cautions for this step
 * @param protects whether it protects a person or the BMS: no tick in the place of its reading, and
 *     nothing that needs it goes on before it is done
 * @param handles what is live and touched in it
 * @param makesSafe what may be handled once it is done
 */
public record Safety(
    List<String> cautions, boolean protects, Set<Live> handles, Set<Live> makesSafe) {
  public Safety {
    cautions = List.copyOf(cautions);
    handles = Set.copyOf(handles);
    makesSafe = Set.copyOf(makesSafe);
  }
}
