package dremsa.server.journal;

import dremsa.core.brew.Thickness;
import dremsa.core.learn.Confounder;
import dremsa.server.http.Words;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;

/** The lists of the journal. */
@Configuration(proxyBeanMethods = false)
class JournalWords {
  @Bean("words.confounders")
  Words confounders() {
    return Words.of("confounders", Confounder.class, Confounder::words);
  }

  @Bean("words.thicknesses")
  Words thicknesses() {
    return Words.of("thicknesses", Thickness.class, Thickness::words);
  }

  @Bean("words.pageKinds")
  Words pageKinds() {
    return Words.of("pageKinds", JournalJson.PageKind.class, JournalJson.PageKind::words);
  }
}
