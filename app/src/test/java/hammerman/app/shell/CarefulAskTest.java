package hammerman.app.shell;

import static org.assertj.core.api.Assertions.assertThat;
import static org.mockito.ArgumentMatchers.any;
import static org.mockito.ArgumentMatchers.contains;
import static org.mockito.ArgumentMatchers.eq;
import static org.mockito.Mockito.mock;
import static org.mockito.Mockito.never;
import static org.mockito.Mockito.verify;
import static org.mockito.Mockito.when;

import hammerman.app.control.FileAsk;
import hammerman.finding.Station;
import hammerman.project.Shipped;
import hammerman.store.DesignState;
import hammerman.store.ProjectStore;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Instant;
import java.util.List;
import java.util.Optional;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

class CarefulAskTest {
  private static final FileAsk.Kind PROJECTS = new FileAsk.Kind("Projects", List.of("*.hammerman"));

  @TempDir Path folder;
  private final FileAsk system = mock(FileAsk.class);
  private final CarefulAsk ask = new CarefulAsk(system);

  private Optional<Path> saved(String typed) {
    when(system.save(any(), any(), any())).thenReturn(Optional.of(folder.resolve(typed)));
    return ask.save("Save as", PROJECTS, "pack");
  }

  @Test
  void aNameGetsItsEndingEvenWithAPointInIt() {
    assertThat(saved("pack")).contains(folder.resolve("pack.hammerman"));
    assertThat(saved("barrow v1.2")).contains(folder.resolve("barrow v1.2.hammerman"));
    assertThat(saved("Pack.HAMMERMAN")).contains(folder.resolve("Pack.HAMMERMAN"));
    verify(system, never()).mayReplace(any(), any());
  }

  @Test
  void anotherProjectUnderTheWholeNameIsNamedBeforeItGivesWay() throws Exception {
    Path there = folder.resolve("pack.hammerman");
    DesignState first =
        DesignState.of(1, Instant.EPOCH, Station.DUTY, "First", Shipped.terraceBarrow());
    ProjectStore.create(there, first, Instant.EPOCH).close();
    assertThat(saved("pack")).as("no unless it is said").isEmpty();
    verify(system).mayReplace(eq(there), contains("“Terrace barrow”, 13S6P, with 0 runs"));
    when(system.mayReplace(any(), any())).thenReturn(true);
    assertThat(saved("pack")).contains(there);
  }

  @Test
  void anyOtherFileIsNamedToo() throws Exception {
    Files.writeString(folder.resolve("pack.hammerman"), "letters to a friend");
    assertThat(saved("pack")).isEmpty();
    verify(system).mayReplace(any(), contains("19 bytes"));
  }
}
