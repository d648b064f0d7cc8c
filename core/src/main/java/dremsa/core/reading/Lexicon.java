package dremsa.core.reading;

import dremsa.core.brew.Stock;
import dremsa.core.material.Material;
import dremsa.core.material.MaterialKind;
import dremsa.core.material.Materials;
import dremsa.core.material.OtherNames;
import dremsa.core.material.Property;
import dremsa.core.measure.CsvTable;
import dremsa.core.measure.Token;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import org.apache.commons.csv.CSVRecord;

/** All words that a note is read by: those of the list, and the names of materials and brews. */
final class Lexicon {
  /** The role of a material's name; what it means is the material's id. */
  static final String MATERIAL = "material";

  /** Words that say in which state a material is, and do not name it. */
  private static final Set<String> STATES =
      Set.of(
          "dried",
          "fresh",
          "whole",
          "ground",
          "raw",
          "rolled",
          "pearled",
          "broken",
          "strained",
          "melted",
          "plain",
          "bottled",
          "powder");

  /** Parts that a plant's name goes without in speech: "chamomile" is the flower. */
  static final Set<String> PARTS =
      Set.of(
          "leaf", "flower", "root", "seed", "bark", "bud", "cone", "petal", "sprig", "herb", "top",
          "pod", "husk", "grain", "moss", "pad", "fruit");

  private static final Map<String, List<Phrase>> WORDS = words();
  private static final Map<String, List<Phrase>> NAMES = names(Materials.standard());

  private final Map<String, List<Phrase>> names;
  private final Materials materials;

  private Lexicon(Map<String, List<Phrase>> names, Materials materials) {
    this.names = names;
    this.materials = materials;
  }

  /** What a phrase means, in one of its roles. */
  record Sense(String role, String means) {}

  private record Phrase(List<String> words, List<Sense> senses) {}

  /** A phrase found in a text. */
  record Hit(int to, List<Sense> senses, List<String> words) {
    int length() {
      return words.size();
    }
  }

  /**
   * The word list with what a household calls its things.
   *
   * @param materials all of them
   * @param brews names of formulas by their ids
   */
  static Lexicon of(Materials materials, Map<String, String> brews) {
    Map<String, List<Phrase>> all = new HashMap<>(NAMES);
    Map<String, List<Phrase>> own = new HashMap<>();
    for (Material material : materials.all()) {
      boolean known =
          Materials.standard()
              .find(material.id())
              .filter(standard -> standard.name().equals(material.name()))
              .isPresent();
      if (!known) {
        addNames(own, material);
      }
    }
    brews.forEach((id, name) -> add(own, name, new Sense(MATERIAL, Stock.PREFIX + id)));
    own.forEach((first, phrases) -> all.merge(first, phrases, Lexicon::joined));
    return new Lexicon(all, materials);
  }

  private static List<Phrase> joined(List<Phrase> one, List<Phrase> other) {
    List<Phrase> all = new ArrayList<>();
    one.forEach(phrase -> all.add(new Phrase(phrase.words, new ArrayList<>(phrase.senses))));
    for (Phrase phrase : other) {
      for (Sense sense : phrase.senses) {
        put(all, phrase.words, sense);
      }
    }
    return all;
  }

  private static Map<String, List<Phrase>> words() {
    Map<String, List<Phrase>> all = new HashMap<>();
    for (CSVRecord line : CsvTable.lines(Lexicon.class, "words.csv")) {
      add(all, line.get("word"), new Sense(line.get("role"), line.get("means")));
    }
    return all;
  }

  private static Map<String, List<Phrase>> names(Materials materials) {
    Map<String, List<Phrase>> all = new HashMap<>();
    materials.all().forEach(material -> addNames(all, material));
    OtherNames.all()
        .forEach((id, names) -> names.forEach(name -> add(all, name, new Sense(MATERIAL, id))));
    return all;
  }

  /** A material's name, without its state, and without its part: "Nettle leaf, dried". */
  private static void addNames(Map<String, List<Phrase>> all, Material material) {
    Sense sense = new Sense(MATERIAL, material.id());
    add(all, material.name(), sense);
    add(all, material.id().replace('-', ' '), sense);
    List<String> bare = new ArrayList<>(split(material.name()));
    bare.removeAll(STATES);
    put(all, bare, sense);
    if (material.kind().isPlant() && bare.size() > 1) {
      List<String> plant = new ArrayList<>(bare);
      plant.removeAll(PARTS);
      put(all, plant, sense);
    }
  }

  private static void add(Map<String, List<Phrase>> all, String words, Sense sense) {
    put(all, split(words), sense);
  }

  private static void put(Map<String, List<Phrase>> all, List<String> words, Sense sense) {
    if (!words.isEmpty()) {
      put(all.computeIfAbsent(words.get(0), first -> new ArrayList<>()), words, sense);
    }
  }

  private static void put(List<Phrase> phrases, List<String> words, Sense sense) {
    for (Phrase phrase : phrases) {
      if (phrase.words.equals(words)) {
        if (!phrase.senses.contains(sense)) {
          phrase.senses.add(sense);
        }
        return;
      }
    }
    List<Sense> senses = new ArrayList<>();
    senses.add(sense);
    phrases.add(new Phrase(List.copyOf(words), senses));
    phrases.sort((a, b) -> b.words.size() - a.words.size());
  }

  /** The words of a phrase, each in its singular. */
  static List<String> split(String words) {
    return Token.all(words).stream()
        .filter(token -> token.isWord() || token.isDigits() || token.is("&") || token.is("/"))
        .map(Token::singular)
        .toList();
  }

  /** The longest phrase of the word list that begins at a token. */
  Hit word(List<Token> tokens, int at) {
    return longest(WORDS, tokens, at);
  }

  /** The longest name of a material or a brew that begins at a token. */
  Hit name(List<Token> tokens, int at) {
    return longest(names, tokens, at);
  }

  /** Whether one of it is a thing that can be counted: an onion, an egg, a cinnamon stick. */
  boolean isCounted(Hit name) {
    String last = name.words().get(name.words().size() - 1);
    return COUNTED.contains(last)
        || name.senses().stream()
            .flatMap(sense -> materials.find(sense.means()).stream())
            .anyMatch(
                m ->
                    m.kind() == MaterialKind.FRESH_PLANT
                        || m.kind() == MaterialKind.ALOE_LEAF
                        || m.kind() == MaterialKind.FOOD && m.figure(Property.PIECE).isPresent());
  }

  private static final Set<String> COUNTED =
      Set.of("stick", "leaf", "pod", "quill", "bulb", "sprig", "clove", "bag");

  private static final Hit NOTHING = new Hit(-1, List.of(), List.of());

  private static Hit longest(Map<String, List<Phrase>> all, List<Token> tokens, int at) {
    List<Phrase> phrases = all.get(tokens.get(at).singular());
    if (phrases != null) {
      for (Phrase phrase : phrases) {
        int to = matches(phrase.words, tokens, at);
        if (to > 0) {
          return new Hit(to, List.copyOf(new LinkedHashSet<>(phrase.senses)), phrase.words);
        }
      }
    }
    return NOTHING;
  }

  private static int matches(List<String> words, List<Token> tokens, int at) {
    int next = at;
    for (int i = 0; i < words.size(); i++) {
      if (i > 0 && next < tokens.size() && (tokens.get(next).is("-") || tokens.get(next).is("'"))) {
        next++; // sun-dried, ladies' finger
      }
      if (next >= tokens.size() || !tokens.get(next).singular().equals(words.get(i))) {
        return -1;
      }
      next++;
    }
    return next;
  }
}
