package dremsa.server.plan;

import dremsa.server.http.Words;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;

/** The lists of plans. */
@Configuration(proxyBeanMethods = false)
class PlanWords {
  @Bean("words.searchStates")
  Words searchStates() {
    return Words.of("searchStates", PlanJson.SearchState.class, PlanJson.SearchState::words);
  }
}
