package dremsa.core.brew;

import dremsa.core.formula.Formula;
import dremsa.core.formula.Ingredient;
import dremsa.core.kitchen.Kitchen;
import dremsa.core.material.Material;
import dremsa.core.material.MaterialKind;
import dremsa.core.material.Materials;
import dremsa.core.material.Property;
import dremsa.core.measure.Figure;
import java.util.ArrayDeque;
import java.util.Deque;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.Function;

/**
 * The brews that others are made with: a gel used as the water of a blend, a strong infusion
 * stirred into powder. An ingredient names one by the material {@code "brew:"} and the id of its
 * formula; what stands behind the name is a bottle of the shelf or a brew still to be made.
 */
public final class Stock {
  /** Before the id of a formula it names the brew as a material. */
  public static final String PREFIX = "brew:";

  /** No brews at all. */
  public static final Stock NONE = new Stock(Map.of());

  private final Map<String, Poured> byMaterial;

  private Stock(Map<String, Poured> byMaterial) {
    this.byMaterial = byMaterial;
  }

  /**
   * A brew to pour from.
   *
   * @param name as told to the maker
   * @param tint its colour, six hexadecimal digits
   * @param contents what is in it, in any amount
   * @param leftMl what is left of it; infinite for one that is still to be made
   */
  public record Poured(String name, String tint, Contents contents, double leftMl) {
    Material material(String id) {
      double density = contents.grams() / contents.millilitres();
      return new Material(
          id,
          name,
          "",
          MaterialKind.BREW,
          tint,
          "",
          Map.of(
              Property.DENSITY,
              Figure.estimate(density, density, density, Property.DENSITY.unit())));
    }
  }

  /** Whether a material's id names a brew. */
  public static boolean isBrew(String materialId) {
    return materialId.startsWith(PREFIX);
  }

  /** The brew behind a material's id, if there is one. */
  public Optional<Poured> of(String materialId) {
    return Optional.ofNullable(byMaterial.get(materialId));
  }

  /** The same stock, with this brew behind the id. */
  public Stock with(String materialId, Poured poured) {
    Map<String, Poured> changed = new LinkedHashMap<>(byMaterial);
    changed.put(materialId, poured);
    return new Stock(changed);
  }

  /**
   * The brews that a formula needs, as they would be made by their own formulas in this kitchen.
   *
   * @param book finds a formula by its id
   * @throws CyclicFormulasException when formulas use each other in a circle
   * @throws dremsa.core.material.UnknownMaterialException when a formula is not in the book
   */
  public static Stock planned(
      Formula formula,
      Kitchen kitchen,
      Materials materials,
      Function<String, Optional<Formula>> book) {
    return planned(formula, kitchen, materials, book, new ArrayDeque<>());
  }

  private static Stock planned(
      Formula formula,
      Kitchen kitchen,
      Materials materials,
      Function<String, Optional<Formula>> book,
      Deque<Formula> path) {
    path.addLast(formula);
    Stock stock = NONE;
    for (Ingredient ingredient : formula.ingredients()) {
      String id = ingredient.material();
      if (!isBrew(id) || stock.of(id).isPresent()) {
        continue;
      }
      String formulaId = id.substring(PREFIX.length());
      if (path.stream().anyMatch(above -> above.id().equals(formulaId))) {
        List<String> names = new java.util.ArrayList<>(path.stream().map(Formula::name).toList());
        names.add(book.apply(formulaId).map(Formula::name).orElse(formulaId));
        throw new CyclicFormulasException(id, names);
      }
      Optional<Formula> other = book.apply(formulaId);
      if (other.isPresent()) {
        Stock below = planned(other.get(), kitchen, materials, book, path);
        Brew brew = Brew.of(other.get(), kitchen, materials, below);
        Contents contents = brew.contents(Math.min(1, brew.largestScale()));
        stock =
            stock.with(
                id,
                new Poured(other.get().name(), brew.tint(), contents, Double.POSITIVE_INFINITY));
      }
    }
    path.removeLast();
    return stock;
  }
}
