package dremsa.core.reading;

import dremsa.core.brew.Stock;
import dremsa.core.check.AmountSlips;
import dremsa.core.check.Finding;
import dremsa.core.formula.Formula;
import dremsa.core.formula.Proportion;
import dremsa.core.material.Material;
import dremsa.core.material.MaterialKind;
import dremsa.core.material.Materials;
import dremsa.core.material.Weighed;
import dremsa.core.measure.AmountReader;
import dremsa.core.measure.AmountReader.Spotted;
import dremsa.core.measure.CountMeasures;
import dremsa.core.measure.Dimension;
import dremsa.core.measure.EverydayMeasures;
import dremsa.core.measure.KitchenMeasure;
import dremsa.core.measure.KitchenMeasures;
import dremsa.core.measure.Said;
import dremsa.core.measure.TypedAmount;
import dremsa.core.measure.UnreadableAmountException;
import dremsa.core.reading.Stretch.About;
import dremsa.core.reading.Stretch.Option;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import org.jspecify.annotations.Nullable;

/** What goes in: gathers it clause by clause, and knows what is meant when it is named again. */
final class Larder {
  /** The key under which is settled what parts are counted in. */
  private static final String PARTS = "parts";

  /** "Water 500": from here on a number alone may be grams or millilitres. */
  private static final double LEAST_UNIT = 10;

  /** Two spellings of one amount may differ by this much; above it is another helping. */
  private static final double SAME = 0.03;

  private final Naming naming;
  private final Margin margin;
  private final AmountReader amounts;
  private final List<Line> lines = new ArrayList<>();
  private final Map<String, Material> made = new LinkedHashMap<>();

  Larder(Naming naming, Margin margin, AmountReader amounts) {
    this.naming = naming;
    this.margin = margin;
    this.amounts = amounts;
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
    Proportion proportion = line.material() == null ? null : proportion(mention, again, false);
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
    Proportion proportion = proportion(mention, line, true);
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

  private @Nullable Proportion proportion(Mention mention, Line line, boolean noted) {
    int index = lines.indexOf(line);
    if (mention.drops() != null) {
      if (noted) {
        margin.read(
            mention.from(),
            nameStart(mention),
            About.AMOUNT,
            index,
            Said.of("%s drops to 100 mL", Said.tenths(mention.drops())));
      }
      return new Proportion.DropsPer100Ml(mention.drops());
    }
    Material material = line.material();
    boolean strength =
        material != null
            && (material.kind() == MaterialKind.SPIRIT || material.kind() == MaterialKind.ACID);
    if (mention.percent() != null && !(strength && mention.amount() != null)) {
      double percent = mention.percent();
      if (percent > 0 && percent < 99 && !strength) {
        if (noted && mention.from() < nameStart(mention)) {
          margin.read(
              mention.from(),
              nameStart(mention),
              About.AMOUNT,
              index,
              Said.figures(percent, 3) + " % of the finished brew");
        }
        return new Proportion.PercentOfFinished(percent);
      }
    }
    if (mention.amount() == null) {
      return null;
    }
    return mention.parts()
        ? parts(mention, mention.amount(), line, noted)
        : weighed(mention, mention.amount(), line, noted);
  }

  private static int nameStart(Mention mention) {
    return mention.substance() != null ? mention.substance().from() : mention.unknownFrom();
  }

  /** Parts are by weight or by the cup; makers mean either. */
  private @Nullable Proportion parts(
      Mention mention, Item.Quantity quantity, Line line, boolean noted) {
    double number = (quantity.spotted().low() + quantity.spotted().high()) / 2;
    // One answer holds for all parts of a note: nobody mixes them.
    String key = PARTS;
    String value = margin.answer(key).orElse("weight");
    double density = line.material() == null ? 1 : line.material().density();
    double grams = 100 * number * (value.equals("volume") ? density : 1);
    if (noted) {
      margin.asked(
          quantity.from(),
          quantity.to(),
          About.AMOUNT,
          lines.indexOf(line),
          Said.figures(number, 3)
              + (value.equals("volume") ? " parts by volume" : " parts by weight"),
          key,
          value,
          List.of(
              new Option("weight", "parts by weight"), new Option("volume", "parts by volume")));
    }
    return new Proportion.Parts(grams);
  }

  private @Nullable Proportion weighed(
      Mention mention, Item.Quantity quantity, Line line, boolean noted) {
    Material material = line.material();
    Spotted spotted = quantity.spotted();
    TypedAmount plain =
        new TypedAmount(
            spotted.low(),
            spotted.high(),
            spotted.measure() == null ? piece(mention, material) : spotted.measure(),
            "");
    List<KitchenMeasure> measures = measures(spotted, plain, material);
    boolean whichMeasure = measures.size() > 1 && spotted.measure() != null;
    String key =
        !noted
            ? ""
            : whichMeasure
                ? margin.key("measure", spotted.measureFrom(), spotted.to())
                : margin.key("amount", quantity.from(), quantity.to());
    List<Option> options =
        whichMeasure ? byMeasure(spotted, measures) : byAmount(spotted, measures.get(0), measures);
    String taken = options.get(0).value();
    Optional<String> answer = noted ? margin.answer(key) : Optional.empty();
    TypedAmount typed =
        whichMeasure
            ? amounts
                .measure(answer.orElse(taken))
                .map(m -> new TypedAmount(spotted.low(), spotted.high(), m, ""))
                .orElse(plain)
            : read(answer.orElse(taken)).orElse(plain);
    Optional<Double> grams = grams(typed, material);
    int index = lines.indexOf(line);
    boolean slip =
        material != null
            && AmountSlips.of(typed, material).stream()
                .anyMatch(f -> f.severity() == Finding.Severity.ERROR);
    if (noted) {
      String words =
          grams.isEmpty()
              ? typed.words() + ": what one weighs is not known"
              : typed.words() + ": " + Said.figures(round(grams.get()), 4) + " g";
      if (options.size() > 1 || grams.isEmpty() || slip || answer.isPresent()) {
        margin.asked(
            quantity.from(),
            quantity.to(),
            About.AMOUNT,
            index,
            words,
            key,
            answer.orElse(taken),
            options);
      } else {
        margin.read(quantity.from(), quantity.to(), About.AMOUNT, index, words);
      }
    }
    return grams.filter(g -> g > 0 && g <= 1e6).map(Proportion.Parts::new).orElse(null);
  }

  private static double round(double grams) {
    return grams >= 20 ? Math.round(grams) : Math.round(grams * 100) / 100.0;
  }

  private Optional<TypedAmount> read(String typed) {
    try {
      return Optional.of(amounts.read(typed));
    } catch (UnreadableAmountException e) {
      return Optional.empty();
    }
  }

  private Optional<Double> grams(TypedAmount typed, @Nullable Material material) {
    if (material == null) {
      return typed.measure().dimension() == Dimension.COUNT
          ? Optional.empty()
          : Optional.of(typed.size());
    }
    try {
      return Optional.of(Weighed.grams(typed, material));
    } catch (Weighed.UnknownPieceException e) {
      return Optional.empty();
    }
  }

  /** The measures that may be meant, the one taken first. */
  private List<KitchenMeasure> measures(
      Spotted spotted, TypedAmount plain, @Nullable Material material) {
    List<KitchenMeasure> measures = new ArrayList<>();
    String written =
        spotted.measure() == null ? "" : margin.words(spotted.measureFrom(), spotted.to());
    boolean liquid =
        material == null
            || material.kind().role() == MaterialKind.Role.LIQUID
            || material.kind().role() == MaterialKind.Role.OIL;
    if (written.equals("T") || written.equals("t")) {
      measures.add(plain.measure());
      amounts.measure(written.equals("T") ? "tsp" : "tbsp").ifPresent(measures::add);
    } else if (plain.measure().equals(EverydayMeasures.SPOON)) {
      amounts.measure("tsp").ifPresent(measures::add);
      amounts.measure("tbsp").ifPresent(measures::add);
    } else if (plain.measure().equals(KitchenMeasures.OUNCE) && liquid) {
      amounts.measure("fl oz").ifPresent(measures::add);
      measures.add(plain.measure());
    } else if (spotted.measure() == null
        && grams(plain, material).isEmpty()
        && spotted.low() >= LEAST_UNIT) {
      measures.add(liquid ? KitchenMeasures.MILLILITRE : KitchenMeasures.GRAM);
      measures.add(liquid ? KitchenMeasures.GRAM : KitchenMeasures.MILLILITRE);
    } else {
      measures.add(plain.measure());
    }
    return measures.stream().distinct().toList();
  }

  /** Which spoon, which ounce: what is answered once can hold for the word. */
  private static List<Option> byMeasure(Spotted spotted, List<KitchenMeasure> measures) {
    return measures.stream()
        .map(
            measure ->
                new Option(
                    measure.symbol(),
                    new TypedAmount(spotted.low(), spotted.high(), measure, "").words()))
        .toList();
  }

  /** How many, or of what. */
  private static List<Option> byAmount(
      Spotted spotted, KitchenMeasure first, List<KitchenMeasure> measures) {
    List<Option> all = new ArrayList<>();
    for (KitchenMeasure measure : measures) {
      String words = new TypedAmount(spotted.low(), spotted.high(), measure, "").words();
      all.add(new Option(words, words));
    }
    if (spotted.vague()) {
      for (double number = spotted.low(); number <= spotted.high(); number++) {
        String words = new TypedAmount(number, number, first, "").words();
        all.add(new Option(words, words));
      }
    }
    return all.stream().distinct().toList();
  }

  private static KitchenMeasure piece(Mention mention, @Nullable Material material) {
    if (mention.substance() != null && mention.substance().said().endsWith("tea bag")) {
      return EverydayMeasures.TEABAG;
    }
    if (mention.part().equals("FLOWER")
        || material != null && material.kind() == MaterialKind.FLOWER) {
      return CountMeasures.FLOWER;
    }
    if (material != null
        && (material.kind() == MaterialKind.LEAF || material.kind() == MaterialKind.FRESH_LEAF)) {
      boolean sprig = mention.substance() != null && mention.substance().said().endsWith("sprig");
      return sprig ? CountMeasures.SPRIG : CountMeasures.LEAF;
    }
    return material != null && material.kind() == MaterialKind.BUD
        ? CountMeasures.BUD
        : CountMeasures.PIECE;
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

  /** Takes an amount for what the note does not measure, and asks about it. */
  void suggest(Line line, double grams) {
    int index = lines.indexOf(line);
    String key = margin.key("howmuch", line.from(), Math.max(line.to(), line.from() + 1));
    String suggested = Said.figures(round(grams), 3) + " g";
    String value = margin.answer(key).filter(a -> read(a).isPresent()).orElse(suggested);
    double taken = read(value).flatMap(typed -> grams(typed, line.material())).orElse(grams);
    line.measured(new Proportion.Parts(taken), "");
    margin.amountAsked(
        index,
        line.from(),
        line.to(),
        naming.name(line.id())
            + ": no amount is written; "
            + value
            + " by the method's usual ratio",
        key,
        value,
        List.of(new Option(suggested, suggested + ", as the method usually takes")));
  }

  /** Asks how much, and leaves it out until that is said. */
  void ask(Line line) {
    int index = lines.indexOf(line);
    String key = margin.key("howmuch", line.from(), Math.max(line.to(), line.from() + 1));
    Optional<Double> grams =
        margin.answer(key).flatMap(this::read).flatMap(typed -> grams(typed, line.material()));
    grams.ifPresent(g -> line.measured(new Proportion.Parts(g), margin.answer(key).orElse("")));
    margin.amountAsked(
        index,
        line.from(),
        line.to(),
        grams.isPresent()
            ? naming.name(line.id()) + ": " + margin.answer(key).orElse("")
            : naming.name(line.id()) + ": how much? It is left out until you say",
        key,
        margin.answer(key).orElse(""),
        List.of());
  }

  static Materials with(Materials materials, List<Material> made) {
    Materials all = materials;
    for (Material material : made) {
      all = all.with(material);
    }
    return all;
  }
}
