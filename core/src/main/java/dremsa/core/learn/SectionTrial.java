package dremsa.core.learn;

import java.util.ArrayList;
import java.util.Collections;
import java.util.EnumMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Random;
import java.util.TreeMap;

/**
 * Two to four products side by side on one head.
 *
 * @param products two to four, each named once
 * @param on which product, by its place in the list, is on which section; each is on one at least
 * @param scores of each product, by what was scored
 */
public record SectionTrial(
    List<String> products,
    Map<HeadSection, Integer> on,
    Map<Criterion, Map<String, Double>> scores) {
  public static final int MOST_PRODUCTS = 4;

  public SectionTrial {
    products = List.copyOf(products);
    on = Collections.unmodifiableMap(new EnumMap<>(on));
    scores = Map.copyOf(scores);
    if (products.size() < 2
        || products.size() > MOST_PRODUCTS
        || new HashSet<>(products).size() < products.size()) {
      throw new IllegalArgumentException("a trial compares two to four different products");
    }
    for (int product = 0; product < products.size(); product++) {
      if (!on.containsValue(product)) {
        throw new IllegalArgumentException(products.get(product) + " is on no section");
      }
    }
    scores.forEach(
        (criterion, each) ->
            each.forEach(
                (product, score) -> {
                  if (!criterion.holds(Objects.requireNonNull(score))) {
                    throw new IllegalArgumentException(
                        criterion.words()
                            + " is scored "
                            + criterion.least()
                            + " to "
                            + criterion.most());
                  }
                }));
  }

  /**
   * Draws by lot which product goes on which section; each on as many as the others, or one more.
   *
   * @param sections at least as many as there are products
   * @param dice the same seed draws the same
   */
  public static Map<HeadSection, Integer> lots(
      int products, List<HeadSection> sections, Random dice) {
    if (sections.size() < products || products < 2) {
      throw new IllegalArgumentException("each product needs a section of its own");
    }
    List<Integer> lots = new ArrayList<>();
    for (int i = 0; i < sections.size(); i++) {
      lots.add(i % products);
    }
    Collections.shuffle(lots, dice);
    Map<HeadSection, Integer> drawn = new EnumMap<>(HeadSection.class);
    for (int i = 0; i < sections.size(); i++) {
      drawn.put(sections.get(i), lots.get(i));
    }
    return drawn;
  }

  /** Scores of a criterion in the order of the products; empty where one of them has none. */
  List<Double> of(Criterion criterion, List<String> asked) {
    Map<String, Double> each = new TreeMap<>(scores.getOrDefault(criterion, Map.of()));
    return each.keySet().containsAll(asked) ? asked.stream().map(each::get).toList() : List.of();
  }
}
