package dremsa.core.reading;

import dremsa.core.formula.Formula;
import dremsa.core.formula.Method;
import dremsa.core.kitchen.Place;
import dremsa.core.material.Material;
import java.util.List;
import java.util.Optional;
import org.jspecify.annotations.Nullable;

/**
 * What a note was read as.
 *
 * @param name as the note is headed, or made from what it is
 * @param stretches what each stretch of the text was taken for, in the order of the text
 * @param method that it follows
 * @param otherMethods that it may follow as well, the likeliest first
 * @param formula empty as long as nothing of it could be read
 * @param lines the ingredients as they were read, in the order of the formula's, and after them
 *     those without an amount
 * @param steps where each step of the formula comes from
 * @param made new materials that the household would have to keep
 * @param claims how long the writer keeps it
 * @param notes sentences that stay beside the formula
 */
public record Reading(
    String name,
    List<Stretch> stretches,
    Method method,
    List<Method> otherMethods,
    Optional<Formula> formula,
    List<Taken> lines,
    List<Source> steps,
    List<Material> made,
    List<Claim> claims,
    List<String> notes) {
  public Reading {
    stretches = List.copyOf(stretches);
    otherMethods = List.copyOf(otherMethods);
    lines = List.copyOf(lines);
    steps = List.copyOf(steps);
    made = List.copyOf(made);
    claims = List.copyOf(claims);
    notes = List.copyOf(notes);
  }

  /**
   * An ingredient as it was read.
   *
   * @param key within the formula
   * @param material its id
   * @param name of the material or brew
   * @param amount as written; empty where none is
   * @param measured whether it is in the formula: what has no amount is left out
   */
  public record Taken(String key, String material, String name, String amount, boolean measured) {}

  /**
   * Where a step comes from.
   *
   * @param filledIn whether the method fills the whole step in
   * @param open what of it the method fills in, in words; empty where the note says all
   */
  public record Source(boolean filledIn, String open) {}

  /**
   * How long the writer keeps it.
   *
   * @param words as written
   * @param place null where none is said
   * @param days null where no time is said
   */
  public record Claim(String words, @Nullable Place place, @Nullable Double days) {}

  /** Stretches that one tap would settle. */
  public List<Stretch> doubtful() {
    return stretches.stream().filter(s -> s.certainty() == Stretch.Certainty.GUESS).toList();
  }
}
