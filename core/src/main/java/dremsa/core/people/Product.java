package dremsa.core.people;

import dremsa.core.acid.Sourness;
import dremsa.core.brew.Brew;
import dremsa.core.brew.Contents;
import dremsa.core.brew.Prediction;
import dremsa.core.formula.Formula;
import dremsa.core.formula.Proportion;
import dremsa.core.formula.Purpose;
import dremsa.core.material.Material;
import dremsa.core.material.MaterialKind;
import dremsa.core.material.Virtue;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.function.Function;

/**
 * What a brew is to a head: what is in it, as far as doses and limits hang on it.
 *
 * @param formula id of its formula
 * @param name as told to the maker
 * @param purposes what it may be used for
 * @param materials what is in it, those of brews poured into it as well
 * @param unknown names of what was poured in and is not known here; empty where all is known
 * @param protein how much protein it brings
 * @param ferment it soured on purpose
 * @param alcohol percent by volume
 * @param essential percent of the whole, by the oil's material id
 * @param ph its pH; none where there is hardly any water
 */
public record Product(
    String formula,
    String name,
    Set<Purpose> purposes,
    List<Material> materials,
    Set<String> unknown,
    Protein protein,
    boolean ferment,
    double alcohol,
    Map<String, Double> essential,
    Sourness.Ph ph) {
  /** With less spirit than this it does not dry the scalp; our estimate, percent by volume. */
  private static final double NO_SPIRIT = 5;

  /** How much protein a use brings; common practice. */
  public enum Protein {
    NONE(0, "no protein"),
    /** Fresh grain water, milk, yoghurt, fenugreek paste. */
    MILD(0.5, "some protein"),
    /** Fermented grain water, grain cream, gelatine, egg, hydrolysed protein. */
    STRONG(1, "much protein");

    private final double load;
    private final String words;

    Protein(double load, String words) {
      this.load = load;
      this.words = words;
    }

    /** What one use counts. */
    public double load() {
      return load;
    }

    public String words() {
      return words;
    }

    static Protein more(Protein a, Protein b) {
      return a.load >= b.load ? a : b;
    }
  }

  public Product {
    purposes = Set.copyOf(purposes);
    materials = List.copyOf(materials);
    unknown = Set.copyOf(unknown);
    essential = Map.copyOf(essential);
  }

  /**
   * What a brew is.
   *
   * @param contents of the bottle, with what was poured into it since
   * @param inside finds the brew behind an ingredient that is a brew itself, by its material id
   */
  public static Product of(
      Brew brew,
      Prediction prediction,
      Contents contents,
      Function<String, Optional<Product>> inside) {
    Formula formula = brew.formula();
    double whole = Math.max(1e-9, prediction.finished().grams());
    Set<Material> materials = new LinkedHashSet<>();
    Set<String> unknown = new LinkedHashSet<>();
    Map<String, Double> essential = new LinkedHashMap<>();
    Protein protein = byContents(contents);
    boolean ferment = contents.has(Contents.Trait.FERMENTED);
    for (int i = 0; i < formula.ingredients().size(); i++) {
      Material material = brew.materials().get(i);
      Proportion proportion = formula.ingredients().get(i).proportion();
      double share =
          proportion instanceof Proportion.PercentOfFinished typed
              ? typed.percent() / 100
              : prediction.amounts().getOrDefault(formula.ingredients().get(i).key(), 0.0) / whole;
      if (material.kind() == MaterialKind.BREW) {
        Optional<Product> poured = inside.apply(material.id());
        if (poured.isEmpty()) {
          unknown.add(material.name());
          continue;
        }
        materials.addAll(poured.get().materials);
        unknown.addAll(poured.get().unknown);
        protein = Protein.more(protein, poured.get().protein);
        ferment |= poured.get().ferment;
        poured
            .get()
            .essential
            .forEach((oil, percent) -> essential.merge(oil, percent * share, Double::sum));
      } else {
        materials.add(material);
        protein = Protein.more(protein, byMaterial(material));
        if (material.kind() == MaterialKind.ESSENTIAL_OIL) {
          essential.merge(material.id(), share * 100, Double::sum);
        }
      }
    }
    return new Product(
        formula.id(),
        formula.name(),
        formula.purposes(),
        new ArrayList<>(materials),
        unknown,
        protein,
        ferment,
        contents.alcoholPercent(),
        essential,
        contents.ph());
  }

  private static Protein byContents(Contents contents) {
    if (contents.has(Contents.Trait.STARCH)) {
      return contents.has(Contents.Trait.FERMENTED) || contents.has(Contents.Trait.STARCH_COOKED)
          ? Protein.STRONG
          : Protein.MILD;
    }
    return contents.has(Contents.Trait.STARCH_COOKED) ? Protein.STRONG : Protein.NONE;
  }

  private static Protein byMaterial(Material material) {
    return Virtue.PROTEIN_STRONG.of(material)
        ? Protein.STRONG
        : Virtue.PROTEIN_MILD.of(material) ? Protein.MILD : Protein.NONE;
  }

  /** The same, with another brew poured to it; in which share nobody knows any more. */
  public Product mixedWith(Product other) {
    Set<Material> both = new LinkedHashSet<>(materials);
    both.addAll(other.materials);
    Set<String> neither = new LinkedHashSet<>(unknown);
    neither.addAll(other.unknown);
    Map<String, Double> most = new LinkedHashMap<>(essential);
    other.essential.forEach((oil, percent) -> most.merge(oil, percent, Math::max));
    return new Product(
        formula,
        name,
        purposes,
        new ArrayList<>(both),
        neither,
        Protein.more(protein, other.protein),
        ferment || other.ferment,
        alcohol,
        most,
        ph);
  }

  /** The same, with something poured in of which nothing is known. */
  public Product mixedWith(String something) {
    Set<String> more = new LinkedHashSet<>(unknown);
    more.add(something);
    return new Product(
        formula, name, purposes, materials, more, protein, ferment, alcohol, essential, ph);
  }

  /** The same, known by another formula's id and name. */
  public Product ofFormula(String id, String called) {
    return new Product(
        id, called, purposes, materials, unknown, protein, ferment, alcohol, essential, ph);
  }

  /** Whether it dries the scalp as spirit does. */
  public boolean spirituous() {
    return alcohol >= NO_SPIRIT;
  }

  /** All essential oils together, percent. */
  public double essentialPercent() {
    return essential.values().stream().mapToDouble(Double::doubleValue).sum();
  }

  /** What is in it but water, which nobody need try. */
  public List<Material> toTry() {
    return materials.stream().filter(each -> each.kind() != MaterialKind.WATER).toList();
  }

  boolean holds(Virtue virtue) {
    return materials.stream().anyMatch(virtue::of);
  }
}
