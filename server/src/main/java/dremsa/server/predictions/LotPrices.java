package dremsa.server.predictions;

import java.util.Map;
import java.util.UUID;

/** What materials cost, by the lots on hand. */
public interface LotPrices {
  /** Money for a gram, by material; of the lot that is used first. */
  Map<String, Double> perGram(UUID household);
}
