package hammerman.app;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.HashMap;
import java.util.Map;
import java.util.Objects;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import javafx.scene.paint.Color;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

class ThemeTest {
  private static final Path FOLDER = Path.of("src/main/resources/hammerman/app");
  private static final Pattern ROLE = Pattern.compile("(-hm-[a-z-]+): (#[0-9a-f]{6});");

  private static Map<String, Color> roles(String sheet) throws IOException {
    Map<String, Color> roles = new HashMap<>();
    Matcher m = ROLE.matcher(Files.readString(FOLDER.resolve(sheet)));
    while (m.find()) {
      roles.put(m.group(1), Color.web(m.group(2)));
    }
    return roles;
  }

  @ParameterizedTest
  @ValueSource(strings = {"day.css", "night.css"})
  void textStandsOutFromEveryGroundItIsOn(String sheet) throws IOException {
    Map<String, Color> roles = roles(sheet);
    for (String ground : new String[] {"-hm-paper", "-hm-sheet", "-hm-plate"}) {
      for (String text : new String[] {"-hm-ink", "-hm-soft", "-hm-hot", "-hm-amber", "-hm-cool"}) {
        if (ground.equals("-hm-plate") && !text.equals("-hm-ink") && !text.equals("-hm-soft")) {
          continue;
        }
        assertThat(contrast(roles, text, ground))
            .as("%s on %s in %s", text, ground, sheet)
            .isGreaterThanOrEqualTo(Contrast.LEAST);
      }
    }
    for (String pair : new String[] {"hot", "amber", "cool"}) {
      assertThat(contrast(roles, "-hm-" + pair, "-hm-" + pair + "-wash"))
          .as(pair + " on its wash in " + sheet)
          .isGreaterThanOrEqualTo(Contrast.LEAST);
    }
  }

  @Test
  void bothThemesNameTheSameRoles() throws IOException {
    assertThat(roles("day.css").keySet()).isEqualTo(roles("night.css").keySet());
  }

  @Test
  void coloursStandInTheThemesOnly() throws IOException {
    assertThat(Files.readString(FOLDER.resolve("sheet.css")))
        .doesNotContainPattern("#[0-9a-fA-F]{3,8}\\b");
    try (var files = Files.walk(Path.of("src/main/java"))) {
      for (Path p : files.filter(f -> f.toString().endsWith(".java")).toList()) {
        assertThat(Files.readString(p))
            .as(p.toString())
            .doesNotContainPattern("\"#[0-9a-fA-F]{6}\"");
      }
    }
  }

  private static double contrast(Map<String, Color> roles, String a, String b) {
    return Contrast.of(
        Objects.requireNonNull(roles.get(a), a), Objects.requireNonNull(roles.get(b), b));
  }
}
