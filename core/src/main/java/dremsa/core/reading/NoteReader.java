package dremsa.core.reading;

import dremsa.core.brew.Stock;
import dremsa.core.formula.Formula;
import dremsa.core.formula.Ingredient;
import dremsa.core.formula.Method;
import dremsa.core.formula.MethodGuides;
import dremsa.core.formula.Proportion;
import dremsa.core.formula.Step;
import dremsa.core.material.Material;
import dremsa.core.material.MaterialKind;
import dremsa.core.material.Materials;
import dremsa.core.measure.AmountReader;
import dremsa.core.measure.CountMeasures;
import dremsa.core.measure.MeasureSystem;
import dremsa.core.measure.Said;
import dremsa.core.measure.Token;
import dremsa.core.measure.TypedAmount;
import dremsa.core.reading.Stretch.About;
import dremsa.core.reading.Stretch.Certainty;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.stream.Stream;

/** Reads notes with a household's materials, brews and measures. Immutable. */
public final class NoteReader {
  /** More is no note, but a book, characters. */
  public static final int LONGEST = 4000;

  private final Materials materials;
  private final Map<String, String> brews;
  private final AmountReader amounts;
  private final Lexicon lexicon;

  private NoteReader(Materials materials, Map<String, String> brews, AmountReader amounts) {
    this.materials = materials;
    this.brews = Map.copyOf(brews);
    this.amounts = amounts;
    lexicon = Lexicon.of(materials, brews);
  }

  /**
   * A reader for a household.
   *
   * @param brews the names of its formulas by their ids
   */
  public static NoteReader of(
      Materials materials, Map<String, String> brews, MeasureSystem system, CountMeasures counts) {
    return new NoteReader(materials, brews, AmountReader.of(system, counts));
  }

  /**
   * Reads a note. The same text with the same answers always reads the same.
   *
   * @throws IllegalArgumentException when it is longer than {@link #LONGEST}
   */
  public Reading read(String text, Answers answers) {
    if (text.length() > LONGEST) {
      throw new IllegalArgumentException("A note has at most " + LONGEST + " characters.");
    }
    Optional<Formula> written = WrittenNote.read(text, this::idOf);
    if (written.isPresent()) {
      return asWritten(text, written.get());
    }
    List<Token> tokens = Token.all(text);
    Margin margin = new Margin(text, tokens, answers);
    List<Item> items = Scanner.scan(tokens, lexicon, amounts);
    Heading heading = Heading.of(tokens, items);
    heading.note(margin);
    List<Clause> clauses = Clauses.of(items.subList(heading.items(), items.size()), margin);
    Naming naming = new Naming(materials, brews);
    Larder larder = new Larder(naming, margin, amounts);
    List<List<Line>> named = new ArrayList<>();
    for (int i = 0; i < clauses.size(); i++) {
      Clause clause = clauses.get(i);
      boolean pot = !clause.negated() && clause.act().filter(act -> act != Act.USE).isPresent();
      named.add(clause.negated() ? List.of() : larder.named(clause, pot ? i : -1));
    }
    Cook cook = new Cook(larder, margin, clauses, named);
    List<Stage> said = cook.cook();
    List<Method> methods = MethodFinder.of(larder.lines(), said);
    Method method = chosen(margin, methods);
    Finish.shares(larder);
    Finish.amounts(larder, method);
    List<Stage> stages =
        larder.lines().isEmpty()
            ? List.of()
            : Finish.steps(larder, said, method, cook.neverStrained()).stream()
                .filter(Stage::putsSomething)
                .toList();
    marks(margin, stages);
    leftOver(margin, items);
    List<Stretch> stretches = margin.stretches();
    List<Reading.Claim> claims =
        cook.claims().stream()
            .map(
                claim ->
                    new Reading.Claim(
                        text.substring(
                            tokens.get(claim.clause().from()).from(),
                            tokens.get(claim.to() - 1).to()),
                        claim.place(),
                        claim.minutes() == null ? null : claim.minutes() / 1440))
            .toList();
    String name = heading.name().orElseGet(() -> named(larder, method));
    return new Reading(
        name,
        stretches,
        method,
        methods.stream().filter(other -> other != method).toList(),
        formula(name, beside(text, claims, stretches), method, larder, stages),
        larder.lines().stream()
            .map(
                line ->
                    new Reading.Taken(
                        line.key(),
                        line.id(),
                        naming.name(line.id()).equals(line.id()) && line.material() != null
                            ? line.material().name()
                            : naming.name(line.id()),
                        line.amount(),
                        line.proportion() != null))
            .toList(),
        stages.stream().map(stage -> source(stage, method)).toList(),
        larder.made(),
        claims,
        notes(text, stretches));
  }

  /** A formula as a note; {@link #read} gives the same formula back. */
  public String write(Formula formula) {
    return NoteWriter.write(formula, new Naming(materials, brews));
  }

  private Optional<String> idOf(String name) {
    Naming naming = new Naming(materials, brews);
    return Stream.concat(
            materials.all().stream().map(Material::id),
            brews.keySet().stream().map(id -> Stock.PREFIX + id))
        .filter(id -> naming.name(id).equals(name))
        .findFirst();
  }

  private Reading asWritten(String text, Formula formula) {
    Naming naming = new Naming(materials, brews);
    return new Reading(
        formula.name(),
        List.of(
            new Stretch(
                0,
                text.length(),
                Certainty.READ,
                About.WORDS,
                -1,
                "a note that Dremsa wrote: read to the letter",
                "",
                List.of())),
        formula.method(),
        List.of(),
        Optional.of(formula),
        formula.ingredients().stream()
            .map(
                i ->
                    new Reading.Taken(
                        i.key(),
                        i.material(),
                        naming.name(i.material()),
                        NoteWriter.amount(i),
                        true))
            .toList(),
        formula.steps().stream().map(step -> new Reading.Source(false, "")).toList(),
        List.of(),
        List.of(),
        List.of());
  }

  /** What nothing was made of: it stays beside the formula. */
  private static void leftOver(Margin margin, List<Item> items) {
    for (int i = 0; i < items.size(); i++) {
      Item item = items.get(i);
      if (item instanceof Item.Unknown) {
        boolean describes =
            i + 1 < items.size()
                && items.get(i + 1) instanceof Item.Word word
                && (word.is("container") || word.is("tool") || word.is("vessel"));
        if (!describes) {
          margin.unread(item.from(), item.to(), "not read");
        }
      } else if (item instanceof Item.Quantity q) {
        if (i > 1 && items.get(i - 2) instanceof Item.Quantity first && isSame(first, q)) {
          margin.read(q.from(), q.to(), About.AMOUNT, -1, "the same amount in another measure");
        } else {
          margin.unread(q.from(), q.to(), "an amount of nothing that was read");
        }
      }
    }
  }

  /** {@code 500 ml (2 cups)}: measures round, so that the two may differ a little. */
  private static boolean isSame(Item.Quantity first, Item.Quantity second) {
    if (first.spotted().measure() == null || second.spotted().measure() == null) {
      return false;
    }
    TypedAmount one = first.spotted().typed("");
    TypedAmount other = second.spotted().typed("");
    return one.measure().dimension() != other.measure().dimension()
        || Math.abs(one.size() - other.size()) <= ROUNDED * one.size();
  }

  private static final double ROUNDED = 0.15;

  private static Method chosen(Margin margin, List<Method> methods) {
    return margin
        .answer(METHOD)
        .flatMap(
            answer ->
                List.of(Method.values()).stream().filter(m -> m.name().equals(answer)).findFirst())
        .orElse(methods.get(0));
  }

  /** The answer that a stretch names no ingredient. */
  public static final String NOT_AN_INGREDIENT = Naming.NOTHING;

  /** Whether an answer makes a new material of the household. */
  public static boolean isNew(String answer) {
    return answer.startsWith(Naming.NEW);
  }

  /** What an answer that makes a new material stands for: {@code "new here: dried leaf"}. */
  public static String newWords(String answer) {
    return Naming.newWords(answer);
  }

  /** The key under which the method is settled. */
  public static final String METHOD = "method";

  /** The clauses that became steps. */
  private static void marks(Margin margin, List<Stage> stages) {
    for (int i = 0; i < stages.size(); i++) {
      Stage stage = stages.get(i);
      for (Clause clause : stage.clauses) {
        margin.step(clause, i, stage.kind);
      }
    }
  }

  private static Reading.Source source(Stage stage, Method method) {
    List<String> open = new ArrayList<>();
    if (stage.timeLeftOpen()) {
      open.add("how long");
    }
    return new Reading.Source(stage.filledIn(), String.join(", ", open));
  }

  private Optional<Formula> formula(
      String name, String about, Method method, Larder larder, List<Stage> stages) {
    List<Ingredient> ingredients =
        larder.lines().stream()
            .filter(line -> line.proportion() != null)
            .map(Line::ingredient)
            .toList();
    boolean parts = ingredients.stream().anyMatch(i -> i.proportion() instanceof Proportion.Parts);
    if (!parts) {
      return Optional.empty();
    }
    List<Step> steps =
        stages.stream().map(stage -> stage.step(Finish.model(method, stage))).toList();
    if (steps.isEmpty() || steps.size() > Formula.MOST_STEPS) {
      return Optional.empty();
    }
    return Optional.of(
        new Formula(
            "",
            name,
            method,
            MethodGuides.of(method).model().purposes(),
            about,
            ingredients,
            steps));
  }

  /** What stays beside the formula: how it is used and kept, as written, and what was not read. */
  private static String beside(String text, List<Reading.Claim> claims, List<Stretch> stretches) {
    List<String> said =
        Stream.concat(
                claims.stream().map(claim -> claim.words().replaceAll("\\s+", " ").strip()),
                stretches.stream().filter(s -> s.about() == About.USE).map(s -> oneLine(text, s)))
            .toList();
    List<String> unread =
        stretches.stream()
            .filter(s -> s.certainty() == Certainty.UNREAD)
            .map(s -> oneLine(text, s))
            .toList();
    String all =
        String.join(". ", said)
            + (said.isEmpty() || unread.isEmpty() ? "" : ". ")
            + (unread.isEmpty() ? "" : "Not read: " + String.join(", ", unread));
    return all.isEmpty() ? "" : all.substring(0, Math.min(all.length(), MOST_BESIDE)) + ".";
  }

  private static String oneLine(String text, Stretch stretch) {
    return text.substring(stretch.from(), stretch.to()).replaceAll("\\s+", " ").strip();
  }

  /** A formula's description has at most 2000 characters. */
  private static final int MOST_BESIDE = 1900;

  /** {@code "Linseed and rosemary, seed gel"}. */
  private static String named(Larder larder, Method method) {
    List<String> plants =
        larder.lines().stream()
            .filter(line -> !line.is(m -> m.kind() == MaterialKind.WATER))
            .map(Line::material)
            .filter(Objects::nonNull)
            .map(Material::name)
            .map(name -> name.replaceFirst(",.*", ""))
            .distinct()
            .limit(2)
            .toList();
    String what = Said.and(plants);
    String name =
        what.isEmpty() ? method.words() : what + ", " + method.words().toLowerCase(Locale.ROOT);
    return name.length() > 120 ? name.substring(0, 120) : name;
  }

  /** What was set aside or not read, sentence by sentence. */
  private static List<String> notes(String text, List<Stretch> stretches) {
    return stretches.stream()
        .filter(s -> s.about() == About.USE || s.certainty() == Certainty.UNREAD)
        .map(s -> text.substring(s.from(), s.to()))
        .filter(words -> words.length() > 2)
        .distinct()
        .toList();
  }
}
