package dremsa.core.reading;

import dremsa.core.brew.Stock;
import dremsa.core.formula.Formula;
import dremsa.core.formula.Proportion;
import dremsa.core.material.Material;
import dremsa.core.material.MaterialKind;
import dremsa.core.measure.AmountReader;
import dremsa.core.measure.Said;
import dremsa.core.reading.Stretch.About;
import dremsa.core.reading.Stretch.Option;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import org.jspecify.annotations.Nullable;

/** What goes in: gathers it clause by clause, and knows what is meant when it is named again. */
final class Larder {
  /** Two spellings of one amount may differ by this much; above it is another helping. */
  private static final double SAME = 0.03;

  private final Naming naming;
  private final Margin margin;
  private final Measuring measuring;
  private final List<Line> lines = new ArrayList<>();
  private final Map<String, Material> made = new LinkedHashMap<>();

  Larder(Naming naming, Margin margin, AmountReader amounts) {
    this.naming = naming;
    this.margin = margin;
    measuring = new Measuring(margin, amounts, naming, lines);
  }

  /** How much of each. */
  Measuring measuring() {
    return measuring;
  }

  List<Line> lines() {
    return lines;
  }

  /** New materials of the household, as far as the note needs them. */
  List<Material> made() {
    return List.copyOf(made.values());
  }

  /**
   * The ingredients that a clause names, new ones added.
   *
   * @param number of the clause; -1 for a line of a list
   */
  List<Line> named(Clause clause, int number) {
    List<Line> all = new ArrayList<>();
    for (Mention mention : Mention.in(clause)) {
      if (isWashWater(mention, clause, all.isEmpty() ? lines : all)) {
        continue;
      }
      List<Line> meant = resolve(mention, number >= 0);
      for (Line line : meant) {
        if (!all.contains(line)) {
          all.add(line);
        }
      }
    }
    if (clause.words("ref").contains("ALL")) {
      lines.stream().filter(line -> !all.contains(line)).forEach(all::add);
    }
    if (number >= 0) {
      all.forEach(line -> line.namedIn(number));
    }
    return all;
  }

  /** Water that something is washed or drained in does not stay in it. */
  private static boolean isWashWater(Mention mention, Clause clause, List<Line> things) {
    boolean water =
        mention.substance() != null
            && mention.substance().ids().equals(List.of("water"))
            && !mention.measured();
    boolean leaf =
        !things.isEmpty()
            && things.stream().allMatch(l -> l.is(m -> m.kind() == MaterialKind.ALOE_LEAF));
    return water
        && (clause.is(Act.WASH)
            || clause.is(Act.DRAIN)
            || clause.is(Act.PEEL)
            || leaf && clause.is(Act.SOAK));
  }

  private List<Line> resolve(Mention mention, boolean inStep) {
    List<Line> before = known(mention);
    if (!before.isEmpty() && !(mention.measured() && mention.another())) {
      if (!mention.measured()) {
        before.forEach(line -> refer(mention, line));
        return before;
      }
      Line line = before.get(0);
      if (line.proportion() == null) {
        measure(mention, line);
        refer(mention, line);
        return before;
      }
      if (sameAmount(mention, line)) {
        refer(mention, line);
        return before;
      }
    }
    if (mention.substance() == null && mention.unknownFrom() < 0) {
      if (mention.measured()) {
        margin.unread(mention.from(), mention.to(), "an amount of something that is not named");
      }
      return List.of();
    }
    if (mention.substance() != null
        && !mention.measured()
        && mention.substance().ids().stream().allMatch(Stock::isBrew)) {
      return List.of(); // What it is to become, and nothing that goes in.
    }
    Line line = added(mention);
    return line == null ? List.of() : List.of(line);
  }

  private void refer(Mention mention, Line line) {
    margin.read(
        mention.from(), mention.to(), About.MATERIAL, lines.indexOf(line), naming.name(line.id()));
  }

  /** What is named here and stands in the larder already. */
  private List<Line> known(Mention mention) {
    Item.Substance substance = mention.substance();
    if (substance == null) {
      return mention.unknownFrom() >= 0 ? byWords(mention) : byPart(mention.part());
    }
    List<Line> same = lines.stream().filter(line -> substance.ids().contains(line.id())).toList();
    boolean other =
        mention.states().contains("fresh")
            || mention.states().contains("dried")
            || mention.states().contains("powder");
    if (same.isEmpty() && !(other && mention.measured())) {
      Set<String> said = Set.copyOf(Lexicon.split(substance.said()));
      same =
          lines.stream()
              .filter(line -> line.material() != null)
              .filter(line -> isNamed(line.words(), said))
              .filter(line -> !said.equals(Set.of("water")))
              .toList();
    }
    boolean brewed =
        substance.ids().stream().allMatch(Stock::isBrew) || !substance.form().isEmpty();
    if (same.isEmpty() && brewed && !mention.measured()) {
      return List.of();
    }
    return same.size() > 1 && mention.measured() ? same.subList(0, 1) : same;
  }

  /** All words of a name stand in the other; "mint" stands in "spearmint" as well. */
  private static boolean isNamed(List<String> words, Set<String> said) {
    return said.stream()
        .allMatch(
            word ->
                words.stream()
                    .anyMatch(w -> w.equals(word) || word.length() > 3 && w.endsWith(word)));
  }

  private List<Line> byWords(Mention mention) {
    String words =
        margin.words(mention.unknownFrom(), mention.to()).toLowerCase(java.util.Locale.ROOT);
    return lines.stream()
        .filter(line -> line.id().startsWith(words.replaceAll("[^a-z0-9]+", "-")))
        .toList();
  }

  /** {@code the seeds}, {@code the oil}: those of that sort. */
  private List<Line> byPart(String part) {
    return switch (part) {
      case "LEAF", "HERB" -> lines.stream().filter(line -> line.is(m -> isHerb(m.kind()))).toList();
      case "FLOWER" -> ofKind(MaterialKind.FLOWER, MaterialKind.FRESH_PLANT, MaterialKind.BUD);
      case "ROOT" -> ofKind(MaterialKind.ROOT, MaterialKind.FRESH_PLANT);
      case "BARK" -> ofKind(MaterialKind.BARK);
      case "BUD" -> ofKind(MaterialKind.BUD);
      case "SEED" -> ofKind(MaterialKind.SEED, MaterialKind.GUM_SEED);
      case "GRAIN" -> ofKind(MaterialKind.GRAIN);
      case "FRUIT" -> ofKind(MaterialKind.FRESH_PLANT, MaterialKind.ALOE_LEAF);
      case "POWDER" ->
          ofKind(MaterialKind.POWDER, MaterialKind.GUM_POWDER, MaterialKind.POWDER_ADDITIVE);
      case "oil", "infused", "butter" ->
          ofKind(MaterialKind.CARRIER_OIL, MaterialKind.INFUSED_OIL, MaterialKind.ESSENTIAL_OIL);
      case "essential" -> ofKind(MaterialKind.ESSENTIAL_OIL);
      case "juice" -> ofKind(MaterialKind.JUICE, MaterialKind.ACID);
      default -> List.of();
    };
  }

  private static boolean isHerb(MaterialKind kind) {
    return kind.isPlant() && kind != MaterialKind.GRAIN && kind != MaterialKind.GUM_SEED;
  }

  private List<Line> ofKind(MaterialKind... kinds) {
    Set<MaterialKind> wanted = Set.of(kinds);
    return lines.stream().filter(line -> line.is(m -> wanted.contains(m.kind()))).toList();
  }

  private boolean sameAmount(Mention mention, Line line) {
    Line again = new Line(line.key(), line.id(), line.material(), mention.from(), mention.to());
    Proportion proportion =
        line.material() == null ? null : measuring.proportion(mention, again, false);
    return proportion instanceof Proportion.Parts parts
        && Math.abs(parts.grams() - line.grams()) <= SAME * line.grams();
  }

  private @Nullable Line added(Mention mention) {
    if (lines.size() >= Formula.MOST_INGREDIENTS) {
      margin.unread(mention.from(), mention.to(), "more than a formula takes");
      return null;
    }
    Naming.Choice choice = naming.choose(mention);
    int nameFrom = mention.substance() != null ? mention.substance().from() : mention.unknownFrom();
    int from = mention.nameFrom();
    int nameTo = Math.max(nameFrom + 1, nameEnd(mention));
    String key = margin.key("what", nameFrom, nameTo);
    String first = choice.options().get(0).value();
    String value = margin.answer(key).filter(a -> allowed(a, choice)).orElse(first);
    List<Option> options = new ArrayList<>(choice.options());
    if (mention.optional() && options.stream().noneMatch(o -> o.value().equals(Naming.NOTHING))) {
      options.add(new Option(Naming.NOTHING, "leave it out"));
    }
    boolean sure = choice.sure() && !mention.optional();
    if (value.equals(Naming.NOTHING)) {
      margin.asked(from, nameTo, About.MATERIAL, -1, "not an ingredient", key, value, options);
      return null;
    }
    String said = margin.words(nameFrom, nameTo);
    Material material = Stock.isBrew(value) ? null : naming.material(value, said);
    String id = material == null ? value : material.id();
    Line line = new Line(keyFor(id), id, material, mention.from(), mention.to());
    line.states().addAll(mention.states());
    int index = lines.size();
    lines.add(line);
    if (material != null && value.startsWith(Naming.NEW)) {
      made.put(id, material);
    }
    String taken = material == null ? naming.name(id) : material.name();
    if (sure) {
      margin.read(from, nameTo, About.MATERIAL, index, taken);
    } else {
      margin.asked(from, nameTo, About.MATERIAL, index, taken, key, value, options);
    }
    measure(mention, line);
    return line;
  }

  private static int nameEnd(Mention mention) {
    if (mention.substance() == null) {
      return mention.amount() != null && mention.amount().from() >= mention.unknownFrom()
          ? mention.amount().from()
          : mention.to();
    }
    Item.Substance other = mention.other();
    return other == null ? mention.substance().to() : other.to();
  }

  private static boolean allowed(String answer, Naming.Choice choice) {
    return answer.equals(Naming.NOTHING)
        || choice.options().stream().anyMatch(o -> o.value().equals(answer));
  }

  private String keyFor(String id) {
    String base = id;
    String key = base;
    for (int i = 2; has(key); i++) {
      key = base + "-" + i;
    }
    return key;
  }

  private boolean has(String key) {
    return lines.stream().anyMatch(line -> line.key().equals(key));
  }

  private void measure(Mention mention, Line line) {
    Proportion proportion = measuring.proportion(mention, line, true);
    if (proportion != null) {
      line.measured(
          proportion,
          mention.percent() != null && mention.amount() == null
              ? Said.figures(mention.percent(), 3) + " %"
              : mention.amount() == null
                  ? ""
                  : margin.words(mention.amount().from(), mention.amount().to()));
    }
  }

  /** Whether something goes in at the end, where the note does not say when. */
  boolean isLate(Line line, boolean heated) {
    boolean oil = line.is(m -> m.kind().role() == MaterialKind.Role.OIL);
    boolean water = lines.stream().anyMatch(l -> l.is(m -> m.kind() == MaterialKind.WATER));
    return oil ? heated && water : line.goesInLate(heated);
  }

  /** Water, which the note leaves out; how much of it is asked beside what was named last. */
  void addWater() {
    Line last = lines.get(lines.size() - 1);
    lines.add(
        new Line(
            keyFor("water"), "water", naming.material("water", "water"), last.from(), last.to()));
  }

  /** Those whose amount the note does not tell. */
  List<Line> unmeasured() {
    return lines.stream().filter(line -> line.proportion() == null).toList();
  }
}
