package dremsa.server.learning;

import dremsa.core.learn.Criterion;
import dremsa.core.learn.HeadSection;
import dremsa.server.http.Words;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;

/** The lists of learning. */
@Configuration(proxyBeanMethods = false)
class LearningWords {
  @Bean("words.headSections")
  Words headSections() {
    return Words.of("headSections", HeadSection.class, HeadSection::words);
  }

  @Bean("words.criteria")
  Words criteria() {
    return Words.of("criteria", Criterion.class, Criterion::words);
  }

  @Bean("words.calibrationStates")
  Words calibrationStates() {
    return Words.of(
        "calibrationStates",
        CalibrationJson.CalibrationState.class,
        CalibrationJson.CalibrationState::words);
  }
}
