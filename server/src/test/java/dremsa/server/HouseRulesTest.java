package dremsa.server;

import static com.tngtech.archunit.lang.syntax.ArchRuleDefinition.classes;
import static com.tngtech.archunit.lang.syntax.ArchRuleDefinition.noClasses;
import static com.tngtech.archunit.library.dependencies.SlicesRuleDefinition.slices;

import com.tngtech.archunit.core.importer.ImportOption;
import com.tngtech.archunit.junit.AnalyzeClasses;
import com.tngtech.archunit.junit.ArchTest;
import com.tngtech.archunit.lang.ArchRule;
import jakarta.persistence.Entity;
import org.springframework.web.bind.annotation.RestController;

/** The structure of docs/architecture.md. */
@AnalyzeClasses(packages = "dremsa", importOptions = ImportOption.DoNotIncludeTests.class)
class HouseRulesTest {
  @ArchTest
  static final ArchRule NO_CIRCLES =
      slices().matching("dremsa.server.(*)..").should().beFreeOfCycles();

  @ArchTest
  static final ArchRule CORE_KNOWS_NO_SERVER =
      noClasses()
          .that()
          .resideInAPackage("dremsa.core..")
          .should()
          .dependOnClassesThat()
          .resideInAPackage("dremsa.server..");

  @ArchTest
  static final ArchRule DOORS_ARE_PRIVATE =
      classes().that().areAnnotatedWith(RestController.class).should().bePackagePrivate();

  @ArchTest
  static final ArchRule NO_CLOCK_OF_ITS_OWN =
      noClasses()
          .should()
          .callMethod(java.time.Instant.class, "now")
          .orShould()
          .callMethod(System.class, "currentTimeMillis");

  @ArchTest
  static final ArchRule ONLY_ITS_OWN_TABLES =
      classes()
          .that()
          .areAnnotatedWith(Entity.class)
          .should()
          .resideInAnyPackage(
              "..accounts",
              "..kitchens",
              "..materials",
              "..formulas",
              "..stores",
              "..containers",
              "..leftovers",
              "..bench",
              "..shelf",
              "..history",
              "..reminders");
}
