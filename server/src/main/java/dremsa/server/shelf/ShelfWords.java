package dremsa.server.shelf;

import dremsa.core.keep.DiscardReason;
import dremsa.server.http.Words;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;

/** The lists of the shelf. */
@Configuration(proxyBeanMethods = false)
class ShelfWords {
  @Bean("words.discardReasons")
  Words discardReasons() {
    return Words.of("discardReasons", DiscardReason.class, DiscardReason::words);
  }

  @Bean("words.labelFormats")
  Words labelFormats() {
    return Words.of("labelFormats", LabelSheet.Format.class, LabelSheet.Format::words);
  }
}
