package hammerman.sort;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.Random;
import org.junit.jupiter.api.Test;

class LabelOrderTest {
  @Test
  void labelsStandAsPeopleCount() {
    List<String> counted =
        List.of(
            "7",
            "10",
            "A",
            "A0",
            "A1",
            "A01",
            "A2",
            "A2b",
            "A9-12",
            "A10",
            "A010",
            "A10-2",
            "A10-11",
            "A99999999999999999998",
            "A99999999999999999999",
            "B1");
    List<String> mixed = new ArrayList<>(counted);
    Collections.shuffle(mixed, new Random(4));
    mixed.sort(LabelOrder.COUNTED);
    assertThat(mixed).isEqualTo(counted);
    assertThat(LabelOrder.COUNTED.compare("A10", "A10")).isZero();
  }
}
