package dremsa.server.catalogue;

import dremsa.core.acid.Hardness;
import dremsa.core.check.Finding;
import dremsa.core.formula.Purpose;
import dremsa.core.formula.Step;
import dremsa.core.formula.StepKind;
import dremsa.core.keep.School;
import dremsa.core.kitchen.Container;
import dremsa.core.kitchen.Place;
import dremsa.core.kitchen.StrainTool;
import dremsa.core.kitchen.VesselKind;
import dremsa.core.measure.MeasureSystem;
import dremsa.core.measure.Provenance;
import dremsa.server.http.Words;
import dremsa.server.wire.MakeJson;
import dremsa.server.wire.TargetJson;
import java.util.Arrays;
import java.util.function.Function;
import java.util.stream.Collectors;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;

/** The lists of the craft, in core's words. */
@Configuration(proxyBeanMethods = false)
class CraftWords {
  @Bean("words.stepKinds")
  Words stepKinds() {
    return Words.of("stepKinds", StepKind.class, StepKind::key, StepKind::words);
  }

  @Bean("words.containers")
  Words containers() {
    return Words.of("containers", Container.class, Container::words);
  }

  @Bean("words.strainers")
  Words strainers() {
    return Words.of("strainers", StrainTool.class, StrainTool::noun);
  }

  @Bean("words.vessels")
  Words vessels() {
    return Words.of("vessels", VesselKind.class, VesselKind::words);
  }

  @Bean("words.purposes")
  Words purposes() {
    return Words.of("purposes", Purpose.class, Purpose::words);
  }

  @Bean("words.places")
  Words places() {
    return Words.of("places", Place.class, Place::where);
  }

  @Bean("words.schools")
  Words schools() {
    return Words.of("schools", School.class, School::words);
  }

  @Bean("words.aboutSchools")
  Words aboutSchools() {
    return Words.of("aboutSchools", School.class, School::about);
  }

  @Bean("words.provenances")
  Words provenances() {
    return Words.of("provenances", Provenance.class, Provenance::words);
  }

  @Bean("words.severities")
  Words severities() {
    return Words.of("severities", Finding.Severity.class, Finding.Severity::words);
  }

  @Bean("words.treatments")
  Words treatments() {
    return Words.of("treatments", Step.Treatment.class, Step.Treatment::words);
  }

  @Bean("words.liquids")
  Words liquids() {
    return Words.of("liquids", Step.LiquidHeat.class, Step.LiquidHeat::words);
  }

  @Bean("words.levels")
  Words levels() {
    return Words.of("levels", Step.Level.class, Step.Level::words);
  }

  @Bean("words.coolingWays")
  Words coolingWays() {
    return Words.of("coolingWays", Step.CoolingWay.class, Step.CoolingWay::words);
  }

  @Bean("words.soakPlaces")
  Words soakPlaces() {
    return Words.some("soakPlaces", Place.class, Step.Soak.places());
  }

  @Bean("words.measures")
  Words measures() {
    return Words.of("measures", MeasureSystem.class, MeasureSystem::inFull);
  }

  /** What a maker can say of the water; that nobody has looked is not said. */
  @Bean("words.waters")
  Words waters() {
    return Words.some(
        "waters",
        Hardness.class,
        Arrays.stream(Hardness.values())
            .filter(water -> water != Hardness.UNKNOWN)
            .collect(Collectors.toMap(Function.identity(), Hardness::words)));
  }

  @Bean("words.targets")
  Words targets() {
    return Words.of("targets", TargetJson.Kind.class, TargetJson.Kind::words);
  }

  @Bean("words.makes")
  Words makes() {
    return Words.of("makes", MakeJson.Kind.class, MakeJson.Kind::words);
  }
}
