package dremsa.core;

import static com.tngtech.archunit.lang.syntax.ArchRuleDefinition.classes;
import static com.tngtech.archunit.lang.syntax.ArchRuleDefinition.noClasses;
import static com.tngtech.archunit.library.Architectures.layeredArchitecture;
import static com.tngtech.archunit.library.dependencies.SlicesRuleDefinition.slices;

import com.tngtech.archunit.core.importer.ImportOption;
import com.tngtech.archunit.junit.AnalyzeClasses;
import com.tngtech.archunit.junit.ArchTest;
import com.tngtech.archunit.lang.ArchRule;

/** The one-way dependencies of docs/architecture.md. */
@AnalyzeClasses(packages = "dremsa.core", importOptions = ImportOption.DoNotIncludeTests.class)
class HouseRulesTest {
  @ArchTest
  static final ArchRule PACKAGES_POINT_ONE_WAY =
      layeredArchitecture()
          .consideringOnlyDependenciesInLayers()
          .withOptionalLayers(true)
          .layer("measure")
          .definedBy("dremsa.core.measure..")
          .layer("acid")
          .definedBy("dremsa.core.acid..")
          .layer("outlook")
          .definedBy("dremsa.core.outlook..")
          .layer("material")
          .definedBy("dremsa.core.material..")
          .layer("kitchen")
          .definedBy("dremsa.core.kitchen..")
          .layer("formula")
          .definedBy("dremsa.core.formula..")
          .layer("brew")
          .definedBy("dremsa.core.brew..")
          .layer("scale")
          .definedBy("dremsa.core.scale..")
          .layer("keep")
          .definedBy("dremsa.core.keep..")
          .layer("fill")
          .definedBy("dremsa.core.fill..")
          .layer("check")
          .definedBy("dremsa.core.check..")
          .layer("today")
          .definedBy("dremsa.core.today..")
          .layer("people")
          .definedBy("dremsa.core.people..")
          .layer("timetable")
          .definedBy("dremsa.core.timetable..")
          .layer("plan")
          .definedBy("dremsa.core.plan..")
          .layer("reading")
          .definedBy("dremsa.core.reading..")
          .whereLayer("reading")
          .mayNotBeAccessedByAnyLayer()
          .whereLayer("reading")
          .mayOnlyAccessLayers("measure", "material", "kitchen", "formula", "brew", "keep", "check")
          .whereLayer("timetable")
          .mayNotAccessAnyLayer()
          .whereLayer("plan")
          .mayOnlyAccessLayers(
              "measure", "kitchen", "formula", "brew", "keep", "people", "timetable")
          .whereLayer("measure")
          .mayNotAccessAnyLayer()
          .whereLayer("acid")
          .mayOnlyAccessLayers("measure")
          .whereLayer("material")
          .mayOnlyAccessLayers("measure", "acid")
          .whereLayer("kitchen")
          .mayOnlyAccessLayers("measure", "acid")
          .whereLayer("formula")
          .mayOnlyAccessLayers("measure", "material", "kitchen")
          .whereLayer("brew")
          .mayOnlyAccessLayers("measure", "acid", "material", "kitchen", "formula")
          .whereLayer("scale")
          .mayOnlyAccessLayers("measure", "material", "kitchen", "formula", "brew")
          .whereLayer("keep")
          .mayOnlyAccessLayers("measure", "acid", "material", "kitchen", "formula", "brew")
          .whereLayer("fill")
          .mayOnlyAccessLayers("measure", "kitchen", "formula", "brew", "scale")
          .whereLayer("check")
          .mayOnlyAccessLayers(
              "measure", "acid", "material", "kitchen", "formula", "brew", "keep", "fill")
          .whereLayer("outlook")
          .mayOnlyAccessLayers("measure", "acid", "material", "kitchen", "formula", "brew", "keep")
          .whereLayer("today")
          .mayOnlyAccessLayers("measure", "keep")
          .whereLayer("people")
          .mayOnlyAccessLayers(
              "measure",
              "acid",
              "material",
              "kitchen",
              "formula",
              "brew",
              "scale",
              "check",
              "timetable");

  @ArchTest
  static final ArchRule NO_CIRCLES =
      slices().matching("dremsa.core.(*)..").should().beFreeOfCycles();

  @ArchTest
  static final ArchRule PLAIN_JAVA =
      noClasses()
          .should()
          .dependOnClassesThat()
          .resideInAnyPackage(
              "org.springframework..",
              "jakarta..",
              "tools.jackson..",
              "com.fasterxml..",
              "java.sql..");

  @ArchTest
  static final ArchRule NO_CLOCK_NO_DICE_NO_PLACE_OF_ITS_OWN =
      noClasses().should(MachineRules.ask(MachineRules.CLOCK_DICE_AND_PLACE));

  @ArchTest
  static final ArchRule WORDS_DO_NOT_HANG_ON_THE_MACHINE =
      noClasses().should(MachineRules.ask(MachineRules.LANGUAGE));

  /** Only the catalogue and the table of classes are read, from what the core itself ships. */
  @ArchTest
  static final ArchRule NO_FILES =
      noClasses()
          .that()
          .doNotHaveSimpleName("CsvTable")
          .should()
          .dependOnClassesThat()
          .resideInAnyPackage("java.nio.file..", "java.net..")
          .orShould()
          .dependOnClassesThat()
          .areAssignableTo(java.io.InputStream.class)
          .orShould()
          .dependOnClassesThat()
          .areAssignableTo(java.io.Reader.class);

  @ArchTest
  static final ArchRule WHAT_MAY_BE_MISSING_IS_SAID =
      classes().should(MachineRules.standInAMarkedPackage());
}
