package dremsa.core.reading;

import dremsa.core.check.AmountSlips;
import dremsa.core.check.Finding;
import dremsa.core.formula.Proportion;
import dremsa.core.material.Material;
import dremsa.core.material.MaterialKind;
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
import java.util.List;
import java.util.Optional;
import org.jspecify.annotations.Nullable;

/** How much of an ingredient goes in: what is written, weighed, and what is asked about it. */
final class Measuring {
  /** "Water 500": from here on a number alone may be grams or millilitres. */
  private static final double LEAST_UNIT = 10;

  /** The key under which is settled what parts are counted in. */
  private static final String PARTS = "parts";

  private final Margin margin;
  private final AmountReader amounts;
  private final Naming naming;

  /** The ingredients so far, whose places in it the margin names. */
  private final List<Line> lines;

  Measuring(Margin margin, AmountReader amounts, Naming naming, List<Line> lines) {
    this.margin = margin;
    this.amounts = amounts;
    this.naming = naming;
    this.lines = lines;
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

  @Nullable Proportion proportion(Mention mention, Line line, boolean noted) {
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
}
