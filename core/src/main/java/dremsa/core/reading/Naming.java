package dremsa.core.reading;

import dremsa.core.brew.Stock;
import dremsa.core.material.Material;
import dremsa.core.material.MaterialKind;
import dremsa.core.material.Materials;
import dremsa.core.material.Property;
import dremsa.core.measure.Dimension;
import dremsa.core.measure.EverydayMeasures;
import dremsa.core.measure.KitchenMeasures;
import dremsa.core.measure.TypedAmount;
import dremsa.core.reading.Stretch.Option;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Set;
import java.util.stream.Collectors;

/** Which material a name means, given what is said of its state, its form and its amount. */
final class Naming {
  /** Before the kind in an answer that makes a new material of the household. */
  static final String NEW = "new:";

  /** The answer that it is no ingredient. */
  static final String NOTHING = "none";

  private static final List<MaterialKind> ASKED =
      List.of(
          MaterialKind.LEAF,
          MaterialKind.FLOWER,
          MaterialKind.ROOT,
          MaterialKind.BARK,
          MaterialKind.SEED,
          MaterialKind.FRESH_LEAF,
          MaterialKind.FRESH_PLANT,
          MaterialKind.POWDER,
          MaterialKind.GUM_SEED,
          MaterialKind.JUICE,
          MaterialKind.HYDROLAT,
          MaterialKind.CARRIER_OIL,
          MaterialKind.INFUSED_OIL,
          MaterialKind.ESSENTIAL_OIL,
          MaterialKind.POWDER_ADDITIVE);

  private final Materials materials;
  private final Map<String, String> brews;

  Naming(Materials materials, Map<String, String> brews) {
    this.materials = materials;
    this.brews = brews;
  }

  /**
   * What a name may mean, the likeliest first.
   *
   * @param options values are ids of materials, or {@code new:} and a kind
   * @param sure whether the first is meant without doubt
   */
  record Choice(List<Option> options, boolean sure) {}

  Choice choose(Mention mention) {
    Item.Substance substance = mention.substance();
    if (substance == null) {
      return unknown(mention);
    }
    Choice choice = known(mention, substance);
    Item.Substance other = mention.other();
    if (other == null) {
      return choice;
    }
    List<Option> all = new ArrayList<>(choice.options);
    all.addAll(known(mention, other).options);
    return new Choice(distinct(all), false);
  }

  private Choice known(Mention mention, Item.Substance substance) {
    Set<String> states = new LinkedHashSet<>(mention.states());
    // "fresh rosemary" may be a name as a whole.
    Lexicon.split(substance.said()).stream()
        .filter(word -> word.equals("fresh") || word.equals("dried"))
        .forEach(states::add);
    boolean powder = states.contains("powder") || mention.part().equals("POWDER");
    List<Material> found = new ArrayList<>();
    for (String id : substance.ids()) {
      materials.find(id).ifPresent(found::add);
    }
    if (found.isEmpty()) {
      return new Choice(
          substance.ids().stream().map(id -> new Option(id, name(id))).toList(),
          substance.ids().size() == 1);
    }
    String form = substance.form();
    if (form.equals("oil") || form.equals("infused") || form.equals("essential")) {
      return oil(mention, substance, found);
    }
    if (isSquirt(mention, found)) {
      List<Material> both = new ArrayList<>(juices(substance));
      both.addAll(found);
      return new Choice(options(both), false);
    }
    if ((form.equals("water") || substance.said().endsWith(" tea"))
        && isPoured(mention)
        && found.stream().allMatch(m -> m.kind().isPlant())) {
      return made(substance, MaterialKind.HYDROLAT, found); // "half a cup of hibiscus tea"
    }
    if (form.equals("juice")
        && found.stream().noneMatch(m -> m.kind().isRaw() || m.kind() == MaterialKind.ACID)) {
      List<Material> juices = juices(substance);
      return juices.isEmpty()
          ? made(substance, MaterialKind.JUICE, found)
          : new Choice(options(juices), juices.size() == 1);
    }
    if (mention.part().equals("GRAIN") || substance.said().isEmpty()) {
      return new Choice(options(found), found.size() == 1);
    }
    if (powder && found.stream().anyMatch(m -> m.kind().isPlant())) {
      return ground(substance, found);
    }
    return byState(mention, substance, found, states);
  }

  /** More than spoons of it: the liquid, and not the herb that it is made of. */
  private static boolean isPoured(Mention mention) {
    if (mention.amount() == null || mention.amount().spotted().measure() == null) {
      return false;
    }
    TypedAmount typed = mention.amount().spotted().typed("");
    return typed.measure().dimension() != Dimension.COUNT
        && !typed.measure().equals(EverydayMeasures.TEABAG)
        && typed.size() >= POURED_ML;
  }

  /** From four spoons on something is poured, mL or g. */
  private static final double POURED_ML = 60;

  /** A squeeze or a spoon of lemon is its juice. */
  private static boolean isSquirt(Mention mention, List<Material> found) {
    return found.size() == 1
        && found.get(0).id().equals("lemon")
        && mention.amount() != null
        && mention.amount().spotted().measure() != null
        && mention.amount().spotted().measure().dimension() == Dimension.VOLUME;
  }

  private List<Material> juices(Item.Substance substance) {
    String first = Lexicon.split(substance.said()).get(0) + "-juice";
    return materials.find(first).map(List::of).orElse(List.of());
  }

  /** A spoon of it is an infused or a carrier oil, a drop an essential oil; else it is asked. */
  private Choice oil(Mention mention, Item.Substance substance, List<Material> found) {
    boolean essential = substance.form().equals("essential");
    boolean infused = substance.form().equals("infused");
    boolean drops = inDrops(mention);
    List<Option> all = new ArrayList<>();
    Option drop = made(MaterialKind.ESSENTIAL_OIL);
    Option spoon = made(MaterialKind.INFUSED_OIL);
    all.add(essential || drops && !infused ? drop : spoon);
    all.add(all.get(0).equals(drop) ? spoon : drop);
    all.add(made(MaterialKind.CARRIER_OIL));
    all.addAll(options(found));
    return new Choice(all, false);
  }

  private Choice ground(Item.Substance substance, List<Material> found) {
    List<Material> powders = found.stream().filter(m -> fine(m)).toList();
    if (powders.isEmpty()) {
      powders = otherForms(found, Naming::fine);
    }
    return powders.isEmpty()
        ? made(substance, MaterialKind.POWDER, found)
        : new Choice(options(powders), powders.size() == 1);
  }

  private static boolean fine(Material material) {
    return material.kind().isPowder() || material.kind() == MaterialKind.POWDER_ADDITIVE;
  }

  private Choice byState(
      Mention mention, Item.Substance substance, List<Material> found, Set<String> states) {
    List<Material> whole =
        found.stream()
            .filter(m -> !m.kind().isPowder() || found.stream().allMatch(o -> o.kind().isPowder()))
            .toList();
    boolean plant = whole.stream().anyMatch(m -> m.kind().isPlant());
    if (plant && states.contains("fresh")) {
      List<Material> fresh = whole.stream().filter(m -> m.kind().isFresh()).toList();
      if (fresh.isEmpty()) {
        fresh = otherForms(whole, m -> m.kind().isFresh());
      }
      if (fresh.isEmpty() && whole.stream().noneMatch(m -> dries(m.kind()))) {
        return new Choice(options(whole), whole.size() == 1);
      }
      return fresh.isEmpty()
          ? made(substance, freshKind(whole.get(0).kind()), whole)
          : new Choice(options(fresh), fresh.size() == 1);
    }
    if (plant && states.contains("dried")) {
      List<Material> dried =
          ofPart(mention, substance, whole).stream().filter(m -> !m.kind().isFresh()).toList();
      if (dried.isEmpty()) {
        dried = otherForms(whole, m -> !m.kind().isFresh() && !m.kind().isPowder());
      }
      return dried.isEmpty()
          ? made(substance, driedKind(substance.part(), whole.get(0).kind()), whole)
          : new Choice(options(dried), dried.size() == 1);
    }
    List<Material> plain = new ArrayList<>(ofPart(mention, substance, whole));
    boolean spirit = plain.stream().allMatch(m -> m.kind() == MaterialKind.SPIRIT);
    if (spirit && (plain.size() > 1 || mention.percent() != null)) {
      return spirit(mention);
    }
    Choice choice = plainly(mention, plain);
    List<Material> powders = found.stream().filter(m -> !plain.contains(m) && fine(m)).toList();
    boolean juicy = plain.stream().anyMatch(m -> m.kind() == MaterialKind.FRESH_PLANT);
    if (powders.isEmpty() || !juicy) {
      return choice;
    }
    // "Turmeric": by the spoon the powder, by the piece the root.
    List<Option> all = new ArrayList<>(choice.options);
    all.addAll(isSpooned(mention) ? 0 : all.size(), options(powders));
    return new Choice(distinct(all), false);
  }

  /** Spirit of the strength that is said; the weaker of two, which keeps less long. */
  private Choice spirit(Mention mention) {
    double said = mention.percent() == null ? USUAL_SPIRIT : mention.percent();
    List<Material> all =
        materials.all().stream()
            .filter(m -> m.kind() == MaterialKind.SPIRIT)
            .sorted(Comparator.comparingDouble(m -> off(m.value(Property.ALCOHOL, 0), said)))
            .toList();
    boolean near = Math.abs(all.get(0).value(Property.ALCOHOL, 0) - said) <= SAME_STRENGTH;
    return new Choice(options(all), near);
  }

  private static double off(double strength, double said) {
    return strength > said + SAME_STRENGTH ? 1000 + strength : Math.abs(strength - said);
  }

  /** Vodka, rum and the like where no strength is said, % vol; common practice. */
  private static final double USUAL_SPIRIT = 40;

  /** Two spirits of one name differ by so much, % vol. */
  private static final double SAME_STRENGTH = 3;

  private static boolean isSpooned(Mention mention) {
    var measure = mention.amount() == null ? null : mention.amount().spotted().measure();
    return measure != null && measure.dimension() == Dimension.VOLUME && measure.size() <= SPOON_ML;
  }

  /** The largest spoon, mL. */
  private static final double SPOON_ML = 20;

  /** "Nettle" is the leaf; the root is said to be the root. */
  private static List<Material> ofPart(
      Mention mention, Item.Substance substance, List<Material> whole) {
    String part = mention.part().isEmpty() ? substance.part() : mention.part();
    List<Material> found =
        whole.stream()
            .filter(m -> part.isEmpty() ? m.kind() != MaterialKind.ROOT : isPart(m.kind(), part))
            .toList();
    return found.isEmpty() ? whole : found;
  }

  private static boolean isPart(MaterialKind kind, String part) {
    return switch (part) {
      case "LEAF", "HERB" -> kind == MaterialKind.LEAF || kind == MaterialKind.FRESH_LEAF;
      case "FLOWER" -> kind == MaterialKind.FLOWER || kind == MaterialKind.FRESH_PLANT;
      case "ROOT" -> kind == MaterialKind.ROOT || kind == MaterialKind.FRESH_PLANT;
      case "SEED" -> kind == MaterialKind.SEED || kind == MaterialKind.GUM_SEED;
      case "BARK" -> kind == MaterialKind.BARK;
      default -> true;
    };
  }

  /**
   * Nothing is said of its state: the dried is the stronger, so the smaller dose; counted leaves
   * are fresh.
   */
  private Choice plainly(Mention mention, List<Material> whole) {
    List<Material> all = new ArrayList<>(whole);
    boolean oils = all.stream().anyMatch(m -> m.kind() == MaterialKind.ESSENTIAL_OIL);
    if (oils && all.size() > 1) {
      boolean drops = inDrops(mention);
      boolean measured = mention.amount() != null && mention.amount().spotted().measure() != null;
      all.sort(Comparator.comparing(m -> (m.kind() == MaterialKind.ESSENTIAL_OIL) != drops));
      return new Choice(options(all), drops || measured);
    }
    if (oils) {
      // A spoon of what is only known by the drop is asked about.
      List<Option> options = new ArrayList<>(options(all));
      options.add(made(MaterialKind.INFUSED_OIL));
      return new Choice(options, inDrops(mention) || mention.amount() == null);
    }
    for (Material material : List.copyOf(all)) {
      if (dries(material.kind()) || material.kind().isFresh()) {
        materials.otherForms(material.id()).stream()
            .filter(m -> m.kind().isFresh() != material.kind().isFresh() && !m.kind().isPowder())
            .filter(m -> !all.contains(m))
            .forEach(all::add);
      }
    }
    boolean counted = isCounted(mention);
    boolean both =
        all.stream().anyMatch(m -> m.kind().isFresh())
            && all.stream().anyMatch(m -> !m.kind().isFresh());
    boolean saidFirst = whole.size() == 1 && whole.get(0).kind().isFresh();
    // Leaf and flower are dried unless it is said; a fruit, a root or a bulb is as it grows.
    boolean juicy =
        all.stream().anyMatch(m -> m.kind() == MaterialKind.FRESH_PLANT)
            && all.stream().noneMatch(m -> m.kind() == MaterialKind.FLOWER);
    boolean cut = juicy && mention.states().contains("chopped");
    boolean freshFirst = counted || saidFirst || juicy;
    all.sort(Comparator.comparing(m -> m.kind().isFresh() != freshFirst));
    boolean sure =
        all.size() == 1
            || whole.size() == 1 && !both
            || (saidFirst || juicy) && counted
            || cut
            || juicy && mention.amount() != null && !isSpooned(mention);
    return new Choice(options(all), sure);
  }

  private static boolean isCounted(Mention mention) {
    if (mention.amount() == null || mention.parts()) {
      return false;
    }
    var measure = mention.amount().spotted().measure();
    return measure == null || Set.of("sprig", "leaf", "flower").contains(measure.id());
  }

  private static boolean inDrops(Mention mention) {
    return mention.drops() != null
        || mention.amount() != null
            && KitchenMeasures.DROP.equals(mention.amount().spotted().measure());
  }

  private List<Material> otherForms(
      List<Material> found, java.util.function.Predicate<Material> wanted) {
    return found.stream()
        .flatMap(m -> materials.otherForms(m.id()).stream())
        .filter(wanted)
        .distinct()
        .toList();
  }

  /** A form that the catalogue does not have: a material of the household's, once it says so. */
  private Choice made(Item.Substance substance, MaterialKind kind, List<Material> found) {
    List<Option> all = new ArrayList<>();
    all.add(made(kind));
    all.addAll(options(found));
    return new Choice(all, false);
  }

  static String newWords(String answer) {
    return "new here: " + MaterialKind.valueOf(answer.substring(NEW.length())).words();
  }

  private static Option made(MaterialKind kind) {
    return new Option(NEW + kind, newWords(NEW + kind));
  }

  private Choice unknown(Mention mention) {
    MaterialKind likely = kindOf(mention.part(), mention.states(), inDrops(mention));
    List<Option> all = new ArrayList<>();
    if (likely != null) {
      all.add(made(likely));
    } else {
      all.add(new Option(NOTHING, "not an ingredient"));
    }
    ASKED.stream().filter(kind -> kind != likely).forEach(kind -> all.add(made(kind)));
    if (likely != null) {
      all.add(new Option(NOTHING, "not an ingredient"));
    }
    return new Choice(all, false);
  }

  private static @org.jspecify.annotations.Nullable MaterialKind kindOf(
      String part, Set<String> states, boolean drops) {
    boolean fresh = states.contains("fresh");
    if (states.contains("powder")) {
      return MaterialKind.POWDER;
    }
    return switch (part) {
      case "LEAF", "HERB" -> fresh ? MaterialKind.FRESH_LEAF : MaterialKind.LEAF;
      case "FLOWER" -> fresh ? MaterialKind.FRESH_PLANT : MaterialKind.FLOWER;
      case "ROOT" -> fresh ? MaterialKind.FRESH_PLANT : MaterialKind.ROOT;
      case "BARK" -> MaterialKind.BARK;
      case "SEED" -> MaterialKind.SEED;
      case "BUD" -> MaterialKind.BUD;
      case "GRAIN" -> MaterialKind.GRAIN;
      case "FRUIT" -> MaterialKind.FRESH_PLANT;
      case "POWDER" -> MaterialKind.POWDER;
      case "oil" -> drops ? MaterialKind.ESSENTIAL_OIL : MaterialKind.CARRIER_OIL;
      case "essential" -> MaterialKind.ESSENTIAL_OIL;
      case "infused" -> MaterialKind.INFUSED_OIL;
      case "butter" -> MaterialKind.CARRIER_OIL;
      case "juice" -> MaterialKind.JUICE;
      case "water" -> MaterialKind.HYDROLAT;
      default -> null;
    };
  }

  private static boolean dries(MaterialKind kind) {
    return switch (kind) {
      case LEAF, FLOWER, ROOT, BARK, BUD -> true;
      default -> false;
    };
  }

  private static MaterialKind freshKind(MaterialKind kind) {
    return kind == MaterialKind.LEAF || kind == MaterialKind.POWDER
        ? MaterialKind.FRESH_LEAF
        : MaterialKind.FRESH_PLANT;
  }

  private static MaterialKind driedKind(String part, MaterialKind kind) {
    if (kind == MaterialKind.FRESH_LEAF || part.equals("LEAF")) {
      return MaterialKind.LEAF;
    }
    return part.equals("FLOWER") ? MaterialKind.FLOWER : MaterialKind.ROOT;
  }

  private List<Option> options(List<Material> found) {
    return found.stream().map(m -> new Option(m.id(), m.name())).toList();
  }

  private static List<Option> distinct(List<Option> options) {
    return new ArrayList<>(new LinkedHashSet<>(options));
  }

  /** What an id is called: a material, or a brew. */
  String name(String id) {
    return Stock.isBrew(id)
        ? brews.getOrDefault(id.substring(Stock.PREFIX.length()), id) + ", from the shelf"
        : materials.find(id).map(Material::name).orElse(id);
  }

  /**
   * The material that an answer stands for; a new one takes its figures from its kind.
   *
   * @param said the words of the note that name it
   */
  Material material(String value, String said) {
    if (!value.startsWith(NEW)) {
      return materials.get(value);
    }
    MaterialKind kind = MaterialKind.valueOf(value.substring(NEW.length()));
    String name = called(said, kind);
    String id = name.toLowerCase(Locale.ROOT).replaceAll("[^a-z0-9]+", "-").replaceAll("^-|-$", "");
    Material own =
        new Material(id.isEmpty() ? "own-herb" : id, name, "", kind, "D9CFB0", "", Map.of());
    return materials.find(own.id()).filter(m -> m.kind() == kind).orElseGet(() -> filled(own));
  }

  private Material filled(Material own) {
    return materials.overlaid(own).get(own.id());
  }

  /** {@code "Hackberry leaf, fresh"}. */
  private static String called(String said, MaterialKind kind) {
    String words =
        Lexicon.split(said).stream()
            .filter(w -> !Set.of("fresh", "dried", "ground", "powdered", "of", "the").contains(w))
            .collect(Collectors.joining(" "));
    String name =
        words.isEmpty()
            ? "Herb"
            : words.substring(0, 1).toUpperCase(Locale.ROOT) + words.substring(1);
    if (kind == MaterialKind.ESSENTIAL_OIL && !name.endsWith("essential oil")) {
      name = name.replaceFirst(" oil$", "");
    }
    String state =
        switch (kind) {
          case FRESH_LEAF, FRESH_PLANT -> ", fresh";
          case LEAF, FLOWER, ROOT, BARK -> ", dried";
          case POWDER -> name.endsWith("powder") ? "" : " powder";
          case JUICE -> name.endsWith("juice") ? "" : " juice";
          case ESSENTIAL_OIL -> name.endsWith("essential oil") ? "" : " essential oil";
          case INFUSED_OIL -> name.endsWith(" oil") ? ", infused" : "-infused oil";
          case CARRIER_OIL -> name.endsWith(" oil") || name.endsWith("butter") ? "" : " oil";
          default -> "";
        };
    String whole = name + state;
    return whole.length() > 80 ? whole.substring(0, 80) : whole;
  }
}
