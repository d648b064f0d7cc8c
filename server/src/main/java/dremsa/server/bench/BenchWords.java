package dremsa.server.bench;

import dremsa.server.http.Words;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;

/** The lists of the bench, in words. */
@Configuration(proxyBeanMethods = false)
class BenchWords {
  @Bean("words.entries")
  Words entries() {
    return Words.of("entries", BatchEntry.Kind.class, BatchEntry.Kind::words);
  }

  @Bean("words.entryUnits")
  Words entryUnits() {
    return Words.of("entryUnits", BatchEntry.Kind.class, BatchEntry.Kind::unit);
  }
}
