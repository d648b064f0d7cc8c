package dremsa.server;

import static com.tngtech.archunit.lang.syntax.ArchRuleDefinition.classes;
import static com.tngtech.archunit.lang.syntax.ArchRuleDefinition.noClasses;
import static com.tngtech.archunit.library.dependencies.SlicesRuleDefinition.slices;

import com.tngtech.archunit.core.importer.ImportOption;
import com.tngtech.archunit.junit.AnalyzeClasses;
import com.tngtech.archunit.junit.ArchTest;
import com.tngtech.archunit.lang.ArchRule;
import dremsa.core.MachineRules;
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

  /** One bean gives the clock; chance is given as well, but for secrets. */
  @ArchTest
  static final ArchRule NO_CLOCK_NO_DICE_NO_PLACE_OF_ITS_OWN =
      noClasses().should(MachineRules.ask(MachineRules.CLOCK_DICE_AND_PLACE));

  @ArchTest
  static final ArchRule WORDS_DO_NOT_HANG_ON_THE_MACHINE =
      noClasses().should(MachineRules.ask(MachineRules.LANGUAGE));

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
              "..people",
              "..washdays",
              "..plan",
              "..learning",
              "..practice",
              "..journal",
              "..notes",
              "..history",
              "..reminders");

  @ArchTest
  static final ArchRule WHAT_MAY_BE_MISSING_IS_SAID =
      classes()
          .that()
          .resideInAPackage("dremsa.server..")
          .should(MachineRules.standInAMarkedPackage());
}
