package dremsa.server.bench;

import dremsa.core.kitchen.Container;
import java.time.Instant;
import java.util.List;
import java.util.UUID;

/** Told within the transaction that ends a run: these bottles now stand on the shelf. */
public record BatchBottled(UUID household, BatchRecord batch, List<Filled> bottles, Instant at) {
  /** One filled container. */
  public record Filled(Container container, double sizeMl, double millilitres) {}
}
