package dremsa.core.people;

import dremsa.core.material.Material;
import java.time.Instant;
import java.time.LocalDate;
import java.util.Map;
import java.util.Objects;
import java.util.OptionalDouble;
import java.util.Set;
import java.util.stream.Collectors;

/**
 * Something that was used on a head.
 *
 * @param day at the household's place
 * @param formula id of the brew's formula
 * @param millilitres above 0
 * @param minutes that it stayed on; empty where nobody said, or where it stays on
 * @param materials ids of what was in it
 * @param protein how much it brought
 * @param spirit it was spirituous
 * @param ferment it had soured on purpose
 * @param essential percent of the product, by the oil's material id
 */
public record HeadUse(
    Instant at,
    LocalDate day,
    SlotKind slot,
    String formula,
    String name,
    double millilitres,
    OptionalDouble minutes,
    Set<String> materials,
    Product.Protein protein,
    boolean spirit,
    boolean ferment,
    Map<String, Double> essential) {
  public HeadUse {
    Objects.requireNonNull(at, "at");
    Objects.requireNonNull(day, "day");
    Objects.requireNonNull(slot, "slot");
    materials = Set.copyOf(materials);
    essential = Map.copyOf(essential);
  }

  /** Some of a product. */
  public static HeadUse of(
      Product product,
      SlotKind slot,
      Instant at,
      LocalDate day,
      double millilitres,
      OptionalDouble minutes) {
    return new HeadUse(
        at,
        day,
        slot,
        product.formula(),
        product.name(),
        millilitres,
        minutes,
        product.toTry().stream().map(Material::id).collect(Collectors.toSet()),
        product.protein(),
        product.spirituous(),
        product.ferment(),
        product.essential());
  }
}
