package dremsa.core.people;

import java.time.Instant;
import java.util.Comparator;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Objects;
import java.util.Optional;
import java.util.Set;

/**
 * Skin that answered to something.
 *
 * @param product id of the formula, where it was one of ours
 * @param name as told to the maker
 * @param materials ids of what was in it
 * @param sign what was seen
 */
public record Reaction(
    Instant at, Optional<String> product, String name, Set<String> materials, Sign sign) {
  /** Told with every reaction. */
  public static final String WHAT_TO_DO =
      "Rinse it out with plenty of lukewarm water and stop using it. If it lasts, spreads or"
          + " swells, or breathing is hard: a doctor, at once.";

  /** What was seen or felt. */
  public enum Sign {
    IRRITATION("itching or red"),
    BURNING("burning"),
    SWELLING("swelling"),
    FLAKES("flakes that were not there before");

    private final String words;

    Sign(String words) {
      this.words = words;
    }

    public String words() {
      return words;
    }
  }

  public Reaction {
    Objects.requireNonNull(at, "at");
    Objects.requireNonNull(product, "product");
    Objects.requireNonNull(name, "name");
    Objects.requireNonNull(sign, "sign");
    materials = Set.copyOf(materials);
  }

  /**
   * Something that may have caused it.
   *
   * @param material its id
   * @param why one of a few sentences
   */
  public record Suspect(String material, String why) {}

  /**
   * What may have caused it: what an earlier reaction had as well, then what was new on this head.
   *
   * @param earlier reactions of the same person
   * @param borne ids of what had been on this head before and was borne
   */
  public List<Suspect> suspects(List<Reaction> earlier, Set<String> borne) {
    Set<String> again = new LinkedHashSet<>();
    earlier.stream()
        .filter(each -> each.at().isBefore(at))
        .forEach(each -> again.addAll(each.materials));
    return materials.stream()
        .filter(material -> again.contains(material) || !borne.contains(material))
        .sorted(
            Comparator.comparing((String material) -> !again.contains(material))
                .thenComparing(Comparator.naturalOrder()))
        .map(
            material ->
                new Suspect(
                    material,
                    again.contains(material)
                        ? "It was in what this skin answered to before."
                        : "It was new on this head."))
        .toList();
  }
}
