package dremsa.server.catalogue;

import dremsa.core.check.Finding;
import dremsa.core.formula.Purpose;
import dremsa.core.formula.StepKind;
import dremsa.core.keep.School;
import dremsa.core.kitchen.Container;
import dremsa.core.kitchen.Place;
import dremsa.core.kitchen.StrainTool;
import dremsa.core.kitchen.VesselKind;
import dremsa.core.measure.Provenance;
import dremsa.server.http.Words;
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

  @Bean("words.provenances")
  Words provenances() {
    return Words.of("provenances", Provenance.class, Provenance::words);
  }

  @Bean("words.severities")
  Words severities() {
    return Words.of("severities", Finding.Severity.class, Finding.Severity::words);
  }
}
