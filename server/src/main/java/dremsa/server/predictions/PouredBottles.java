package dremsa.server.predictions;

import dremsa.core.brew.Stock;
import dremsa.core.keep.Inherited;
import java.time.Instant;
import java.util.Optional;
import java.util.UUID;

/** Finds the bottles of the shelf that brews are made with. */
public interface PouredBottles {
  /**
   * What can be poured from a bottle.
   *
   * @param formulaId of the brew in it
   * @param age what it brings along, for its contents
   */
  record Found(String formulaId, Stock.Poured poured, Inherited age) {}

  /** A standing bottle of a household, as it is now; empty when there is none. */
  Optional<Found> find(UUID household, UUID bottle, Instant now);

  /** Whether a household has or had such a bottle. */
  boolean known(UUID household, UUID id);
}
