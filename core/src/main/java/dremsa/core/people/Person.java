package dremsa.core.people;

import dremsa.core.material.Material;
import java.util.List;
import java.util.Objects;
import java.util.Optional;
import java.util.Set;

/**
 * Somebody whose hair is cared for.
 *
 * @param id stable
 * @param conditions what switches cautions on
 * @param unsuited what must not come on this head
 * @param ownProtein a figure of their own for protein, instead of ours
 * @param ownSpirit a figure of their own for spirit, instead of ours
 * @param tests on the inner arm
 * @param reactions that this skin showed
 */
public record Person(
    String id,
    String name,
    AgeBand age,
    Hair hair,
    Worn worn,
    Set<Condition> conditions,
    List<Unsuited> unsuited,
    Optional<Rate> ownProtein,
    Optional<Rate> ownSpirit,
    List<PatchTest> tests,
    List<Reaction> reactions) {
  /** Longer names do not fit on a sheet. */
  public static final int LONGEST_NAME = 60;

  /** More than anybody strikes. */
  public static final int MOST_UNSUITED = 40;

  /**
   * Checks what must hold.
   *
   * @throws InvalidPersonException names the field
   */
  public Person {
    Objects.requireNonNull(id, "id");
    Objects.requireNonNull(age, "age");
    Objects.requireNonNull(hair, "hair");
    Objects.requireNonNull(worn, "worn");
    conditions = Set.copyOf(conditions);
    unsuited = List.copyOf(unsuited);
    tests = List.copyOf(tests);
    reactions = List.copyOf(reactions);
    if (name.isBlank() || name.length() > LONGEST_NAME) {
      throw new InvalidPersonException("name", "A name of 1 to 60 characters.");
    }
    if (unsuited.size() > MOST_UNSUITED) {
      throw new InvalidPersonException("unsuited", "At most 40.");
    }
  }

  /** Whether a material must not come on this head: struck, or the skin showed it. */
  public boolean mustNotHave(Material material) {
    return unsuited.stream().anyMatch(each -> each.holds(material)) || reactedTo(material.id());
  }

  /** Whether a test of it came out red. */
  boolean reactedTo(String material) {
    return latest(material).flatMap(PatchTest::result).stream()
        .anyMatch(PatchTest.Result.REACTED::equals);
  }

  /** The latest test of a material. */
  Optional<PatchTest> latest(String material) {
    return tests.stream()
        .filter(test -> test.material().equals(material))
        .reduce((a, b) -> b.started().isBefore(a.started()) ? a : b);
  }
}
