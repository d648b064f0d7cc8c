package dremsa.core.measure;

import java.util.List;
import java.util.stream.Collectors;

/**
 * An amount rounded to scoops.
 *
 * @param counts how many of which scoop, largest first; empty when even the smallest is too much
 * @param millilitres what they hold together
 * @param error (scooped − wanted) / wanted; −0.02 means two percent too little
 */
public record ScoopedAmount(List<Count> counts, double millilitres, double error) {

  /**
   * So many of one scoop.
   *
   * @param scoop which
   * @param number how many, or for a jug up to which mark
   */
  public record Count(Scoop scoop, int number) {
    /** As said in the kitchen: {@code "3 × ½ tsp"}, {@code "2 × cup"}, {@code "jug to 550 mL"}. */
    public String words() {
      if (scoop.kind() == Scoop.Kind.JUG) {
        return scoop.label() + " to " + Math.round(number * scoop.millilitres()) + " mL";
      }
      return number == 1 ? scoop.label() : number + " × " + scoop.label();
    }
  }

  public ScoopedAmount {
    counts = List.copyOf(counts);
  }

  /** As said in the kitchen, e.g. {@code "2 × 1 cup + 1 tbsp"}; empty when nothing fits. */
  public String words() {
    return counts.stream().map(Count::words).collect(Collectors.joining(" + "));
  }
}
