package dremsa.core.scale;

import dremsa.core.brew.Prediction;
import java.util.Map;
import java.util.Set;
import java.util.TreeSet;

/**
 * What a batch costs in materials.
 *
 * @param total in the household's money, without what has no price
 * @param per100Ml the same for 100 mL of finished brew
 * @param unpriced keys of ingredients for which no price is known
 */
public record Cost(double total, double per100Ml, Set<String> unpriced) {
  public Cost {
    unpriced = Set.copyOf(unpriced);
  }

  /**
   * The cost of a batch.
   *
   * @param pricePerGram by ingredient key, 0 or more
   */
  public static Cost of(Prediction prediction, Map<String, Double> pricePerGram) {
    double total = 0;
    Set<String> unpriced = new TreeSet<>();
    for (Map.Entry<String, Double> amount : prediction.amounts().entrySet()) {
      Double price = pricePerGram.get(amount.getKey());
      if (price == null) {
        unpriced.add(amount.getKey());
      } else {
        total += amount.getValue() * price;
      }
    }
    return new Cost(total, 100 * total / prediction.finished().millilitres(), unpriced);
  }

  /** Share of a shop price that it costs: 0.25 is a quarter. */
  public double against(double shopPricePer100Ml) {
    return per100Ml / shopPricePer100Ml;
  }
}
