package dremsa.server.stores;

import dremsa.server.http.Words;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;

/** The lists of the stores, in words. */
@Configuration(proxyBeanMethods = false)
class StoreWords {
  @Bean("words.got")
  Words got() {
    return Words.of("got", Stores.Got.class, Stores.Got::words);
  }
}
