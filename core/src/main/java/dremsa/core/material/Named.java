package dremsa.core.material;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashSet;
import java.util.List;
import java.util.Locale;
import java.util.Set;
import org.jspecify.annotations.Nullable;

/**
 * Which material some words name. A material is named by its whole name only: "rice" is rice, "rice
 * water" is not; "clove oil" is neither buds nor surely the essential oil, and is asked about.
 *
 * @param found the one that is named; null when none is, or several are
 * @param meant what might be meant, for asking
 */
public record Named(@Nullable Material found, List<Material> meant) {
  /** Words that describe and do not name. */
  private static final Set<String> DESCRIBE =
      Set.of(
          "dried",
          "dry",
          "fresh",
          "raw",
          "whole",
          "ground",
          "rolled",
          "pearled",
          "broken",
          "strained",
          "melted",
          "of",
          "the",
          "some",
          "organic",
          "chopped",
          "crushed",
          "peeled",
          "flesh",
          "plain",
          "cold",
          "hot",
          "warm",
          "pure",
          "a",
          "and",
          "tap",
          "filtered");

  /** Parts that a plant's name goes without in speech: "chamomile" is the flower. */
  private static final Set<String> PARTS =
      Set.of(
          "leaf", "flower", "root", "seed", "bark", "bud", "cone", "petal", "sprig", "herb", "top",
          "pod", "husk", "grain", "moss");

  private static final int MOST_MEANT = 5;

  public Named {
    meant = List.copyOf(meant);
  }

  /** What words name among these materials. */
  public static Named of(String words, Materials materials) {
    Set<String> said = tokens(words);
    Set<String> names = without(said, DESCRIBE);
    if (names.isEmpty()) {
      return new Named(null, List.of());
    }
    List<Material> exact = new ArrayList<>();
    List<Material> loose = new ArrayList<>();
    List<Material> near = new ArrayList<>();
    for (Material material : materials.all()) {
      Set<String> full = without(tokens(material.name()), DESCRIBE);
      Set<String> id = without(tokens(material.id().replace('-', ' ')), DESCRIBE);
      if (contradicts(said, material)) {
        continue;
      }
      if (names.equals(full) || names.equals(id)) {
        exact.add(material);
      } else if (material.kind().isPlant()
          && !material.kind().isPowder()
          && without(names, PARTS).equals(without(full, PARTS))
          && !without(names, PARTS).isEmpty()) {
        loose.add(material);
      } else if (share(names, full)) {
        near.add(material);
      }
    }
    List<Material> best = exact.isEmpty() ? loose : exact;
    if (best.size() > 1 && !said.contains("fresh")) {
      // Unless fresh is said, the dried plant is meant: it is the stronger, so the smaller dose.
      best = best.stream().filter(m -> !m.kind().isFresh()).toList();
    }
    if (best.size() == 1) {
      return new Named(best.get(0), List.of());
    }
    List<Material> meant = new ArrayList<>(best);
    near.sort(Comparator.comparingInt(m -> m.name().length()));
    meant.addAll(near);
    return new Named(null, meant.stream().distinct().limit(MOST_MEANT).toList());
  }

  /** Fresh is not dried, and whole is not ground: what describes decides between forms. */
  private static boolean contradicts(Set<String> said, Material material) {
    boolean plant = material.kind().isPlant();
    Set<String> name = tokens(material.name());
    boolean powder = name.contains("ground") || name.contains("powder");
    boolean ground =
        said.contains("ground") || said.contains("powder") || said.contains("powdered");
    boolean dried = said.contains("dried") || said.contains("dry");
    return plant && said.contains("fresh") && !material.kind().isFresh()
        || dried && material.kind().isFresh()
        || plant && powder != ground;
  }

  /** Whether they have a word in common that tells something. */
  private static boolean share(Set<String> names, Set<String> full) {
    Set<String> common = new HashSet<>(without(names, PARTS));
    common.retainAll(full);
    common.removeAll(Set.of("oil", "water", "powder", "gel", "juice", "essential", "infused"));
    return !common.isEmpty();
  }

  private static Set<String> without(Set<String> words, Set<String> some) {
    Set<String> left = new HashSet<>(words);
    left.removeAll(some);
    return left;
  }

  private static Set<String> tokens(String text) {
    Set<String> all = new HashSet<>();
    for (String word : text.toLowerCase(Locale.ROOT).split("[^\\p{L}]+")) {
      if (!word.isEmpty()) {
        all.add(singular(word));
      }
    }
    return all;
  }

  private static String singular(String word) {
    if (word.equals("leaves")) {
      return "leaf";
    }
    if (word.length() > 4 && word.endsWith("s") && !word.endsWith("ss") && !word.endsWith("us")) {
      return word.equals("oats") || !word.endsWith("oes")
          ? word.substring(0, word.length() - 1)
          : word.substring(0, word.length() - 2);
    }
    return word.equals("oats") ? "oat" : word;
  }
}
