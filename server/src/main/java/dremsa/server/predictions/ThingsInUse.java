package dremsa.server.predictions;

import dremsa.core.brew.Holding;
import java.time.Instant;
import java.util.List;
import java.util.UUID;

/** What of a kitchen is held by what brews or is planned; answered by the bench. */
public interface ThingsInUse {
  /**
   * A thing that is held.
   *
   * @param batch that holds it
   * @param brew its name
   */
  record Held(
      Holding.Kind kind,
      String id,
      String name,
      UUID batch,
      String brew,
      Instant from,
      Instant until) {
    /** Whether it is held at any time of a stretch. */
    public boolean during(Instant begins, Instant ends) {
      return from.isBefore(ends) && until.isAfter(begins);
    }
  }

  /** All that is held or will be, what becomes free first in front. */
  List<Held> of(UUID household, Instant now);
}
