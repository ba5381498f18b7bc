package hammerman.app;

import static com.tngtech.archunit.lang.syntax.ArchRuleDefinition.noClasses;
import static com.tngtech.archunit.library.dependencies.SlicesRuleDefinition.slices;

import com.tngtech.archunit.core.importer.ImportOption;
import com.tngtech.archunit.junit.AnalyzeClasses;
import com.tngtech.archunit.junit.ArchTest;
import com.tngtech.archunit.lang.ArchRule;

@AnalyzeClasses(packages = "hammerman.app", importOptions = ImportOption.DoNotIncludeTests.class)
class AppArchitectureTest {
  @ArchTest
  static final ArchRule NO_CYCLES =
      slices().matching("hammerman.app.(*)..").should().beFreeOfCycles();

  @ArchTest
  static final ArchRule STATIONS_KEEP_APART =
      slices().matching("hammerman.app.station.(*)..").should().notDependOnEachOther();

  @ArchTest
  static final ArchRule THE_SESSION_KNOWS_NO_CONTROLS =
      noClasses()
          .that()
          .resideInAPackage("hammerman.app.session..")
          .should()
          .dependOnClassesThat()
          .resideInAnyPackage("javafx.scene..", "javafx.stage..");
}
