package hammerman;

import static com.tngtech.archunit.lang.syntax.ArchRuleDefinition.noClasses;
import static com.tngtech.archunit.library.dependencies.SlicesRuleDefinition.slices;
import static org.assertj.core.api.Assertions.assertThat;

import com.tngtech.archunit.core.importer.ImportOption;
import com.tngtech.archunit.junit.AnalyzeClasses;
import com.tngtech.archunit.junit.ArchTest;
import com.tngtech.archunit.lang.ArchRule;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import org.junit.jupiter.api.Test;

@AnalyzeClasses(packages = "hammerman", importOptions = ImportOption.DoNotIncludeTests.class)
class ArchitectureTest {
  /** Each package may use those before it. */
  private static final List<String> ORDER =
      List.of(
          "unit",
          "numeric",
          "table",
          "record",
          "finding",
          "glossary",
          "drawing",
          "cell",
          "duty",
          "telemetry",
          "datasheet",
          "pack",
          "fit",
          "outline",
          "interconnect",
          "heat",
          "guard",
          "readymade",
          "design",
          "chain",
          "template",
          "simulation",
          "life",
          "probe",
          "device",
          "tester",
          "schedule",
          "sort",
          "circuit",
          "judgement",
          "forecast",
          "search",
          "replacement",
          "choice",
          "remedy",
          "wiring",
          "watch",
          "build",
          "prove",
          "project",
          "store");

  @ArchTest
  static final ArchRule NO_CYCLES = slices().matching("hammerman.(*)..").should().beFreeOfCycles();

  @ArchTest
  static final ArchRule NO_INTERFACE =
      noClasses()
          .should()
          .dependOnClassesThat()
          .resideInAnyPackage("javafx..", "java.awt..", "javax.swing..");

  @ArchTest
  static void packagesLookDownOnly(com.tngtech.archunit.core.domain.JavaClasses classes) {
    for (int k = 0; k < ORDER.size(); k++) {
      String[] above =
          ORDER.subList(k + 1, ORDER.size()).stream()
              .map(p -> "hammerman." + p + "..")
              .toArray(String[]::new);
      if (above.length > 0) {
        noClasses()
            .that()
            .resideInAPackage("hammerman." + ORDER.get(k) + "..")
            .should()
            .dependOnClassesThat()
            .resideInAnyPackage(above)
            .check(classes);
      }
    }
  }

  @Test
  void everyPackageHasItsTutorial() throws IOException {
    for (String p : ORDER) {
      assertThat(Path.of("src/main/java/hammerman", p, "package-info.java")).exists();
    }
    try (var folders = Files.list(Path.of("src/main/java/hammerman"))) {
      assertThat(folders.map(f -> f.getFileName().toString()))
          .containsExactlyInAnyOrderElementsOf(ORDER);
    }
  }
}
