package dremsa.server.predictions;

import com.github.benmanes.caffeine.cache.Cache;
import com.github.benmanes.caffeine.cache.Caffeine;
import dremsa.core.brew.Brew;
import dremsa.core.brew.Facts;
import dremsa.core.brew.VesselChoice;
import dremsa.core.outlook.Outlook;
import org.springframework.stereotype.Component;

/**
 * Keeps the runs that ranges were last made of. They hang on the brew, its scale, its vessels and
 * what is known of it, and on no day and no household: a page that asks the same again, and a
 * kitchen like another's, get them without a run. What differs in anything differs in the key, so
 * nothing here is ever out of date.
 */
@Component
class WarmRuns {
  /** About a megabyte each: traces of some seventy runs. */
  private static final int MOST = 24;

  private record Key(Brew.Inputs inputs, double scale, VesselChoice vessels, Facts facts) {}

  private final Cache<Key, Outlook.Runs> kept =
      Caffeine.newBuilder().maximumSize(MOST).softValues().build();

  /** The runs around a batch. */
  Outlook.Runs runs(Predictions.Batched batch) {
    return batch
        .brew()
        .inputs()
        .map(inputs -> new Key(inputs, batch.scale(), batch.vessels(), batch.facts()))
        .map(key -> kept.get(key, missing -> made(batch)))
        .orElseGet(() -> made(batch));
  }

  private static Outlook.Runs made(Predictions.Batched batch) {
    return Outlook.Runs.of(batch.brew(), batch.scale(), batch.vessels(), batch.facts());
  }
}
