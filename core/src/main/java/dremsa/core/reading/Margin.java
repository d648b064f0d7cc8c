package dremsa.core.reading;

import dremsa.core.formula.StepKind;
import dremsa.core.measure.Token;
import dremsa.core.reading.Stretch.About;
import dremsa.core.reading.Stretch.Certainty;
import dremsa.core.reading.Stretch.Option;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.TreeMap;

/** The margin of a note: what each stretch was taken for, and what was settled of the doubtful. */
final class Margin {
  private final String text;
  private final List<Token> tokens;
  private final Answers answers;
  private final List<Stretch> stretches = new ArrayList<>();
  private final Map<String, Integer> asked = new HashMap<>();

  Margin(String text, List<Token> tokens, Answers answers) {
    this.text = text;
    this.tokens = tokens;
    this.answers = answers;
  }

  /** Notes something that is surely read. */
  void read(int from, int to, About about, int target, String taken) {
    put(from, to, Certainty.READ, about, target, taken, "", List.of());
  }

  /** Notes something that is not read. */
  void unread(int from, int to, String why) {
    put(from, to, Certainty.UNREAD, About.WORDS, -1, why, "", List.of());
  }

  /** Some tokens as they stand in the text, on one line. */
  String words(int from, int to) {
    return from < to
        ? text.substring(tokens.get(from).from(), tokens.get(to - 1).to()).replaceAll("\\s+", " ")
        : "";
  }

  /** A key for what some tokens may mean; the same words again have the next number. */
  String key(String what, int from, int to) {
    StringBuilder word = new StringBuilder(what).append(':');
    for (int i = from; i < to; i++) {
      Token token = tokens.get(i);
      // A big letter may mean something else than a small one.
      word.append(i == from ? "" : " ")
          .append(token.raw().length() == 1 ? token.raw() : token.text());
    }
    String bare = word.length() > 80 ? word.substring(0, 80) : word.toString();
    int number = asked.merge(bare, 1, Integer::sum);
    return bare + Answers.NUMBER + number;
  }

  /** What was answered to a key. */
  Optional<String> answer(String key) {
    return answers.of(key);
  }

  /**
   * Notes a stretch with what else it could be: a guess until it is answered.
   *
   * @param value the option taken
   */
  void asked(
      int from,
      int to,
      About about,
      int target,
      String taken,
      String key,
      String value,
      List<Option> options) {
    List<Option> first = new ArrayList<>(options);
    first.sort(Comparator.comparing(option -> !option.value().equals(value)));
    put(
        from,
        to,
        answers.of(key).isPresent() ? Certainty.READ : Certainty.GUESS,
        about,
        target,
        taken,
        key,
        first);
  }

  /** Notes what of a clause is left to a step: its verb, its times, its tools. */
  void step(Clause clause, int step, StepKind kind) {
    String taken = kind.words();
    for (Item item : clause.items()) {
      boolean telling =
          !(item instanceof Item.Break)
              && !(item instanceof Item.Unknown)
              && !(item instanceof Item.Substance)
              && !(item instanceof Item.Quantity)
              && !Clauses.isSilent(item)
              && tells(item, kind);
      if (telling) {
        read(item.from(), item.to(), About.STEP, step, taken);
      }
    }
    read(clause.cueFrom(), clause.cueTo(), About.STEP, step, taken + ": until it is so");
    clause.verb().ifPresent(verb -> read(verb.from(), verb.to(), About.STEP, step, taken));
  }

  /** Whether a word tells of a step of a kind: a sieve of straining, a bottle of filling. */
  private static boolean tells(Item item, StepKind kind) {
    if (item instanceof Item.Word word) {
      return switch (word.role()) {
        case "container" ->
            kind == StepKind.BOTTLE || kind == StepKind.FREEZE || kind == StepKind.COMBINE;
        case "tool" -> kind == StepKind.STRAIN;
        case "vessel" -> kind == StepKind.COMBINE;
        case "heat" ->
            kind == StepKind.BOIL || kind == StepKind.WATER_BATH || kind == StepKind.HEAT;
        default -> true;
      };
    }
    boolean works = kind != StepKind.COMBINE && kind != StepKind.HEAT;
    return !(item instanceof Item.Span) || works;
  }

  /** Asks for an amount that is not written, in place of what was noted of its name. */
  void amountAsked(
      int target, int from, int to, String taken, String key, String value, List<Option> options) {
    int begins = tokens.get(from).from();
    int ends = tokens.get(Math.max(from + 1, to) - 1).to();
    // One tap settles one thing: where the name itself is a guess that comes first.
    boolean nameAsked =
        stretches.stream()
            .anyMatch(s -> s.certainty() == Certainty.GUESS && s.from() < ends && s.to() > begins);
    if (!nameAsked) {
      stretches.removeIf(s -> s.about() == About.MATERIAL && s.from() >= begins && s.to() <= ends);
      asked(from, Math.max(from + 1, to), About.AMOUNT, target, taken, key, value, options);
    }
  }

  private void put(
      int from,
      int to,
      Certainty certainty,
      About about,
      int target,
      String taken,
      String key,
      List<Option> options) {
    if (from < to) {
      stretches.add(
          new Stretch(
              tokens.get(from).from(),
              tokens.get(to - 1).to(),
              certainty,
              about,
              target,
              taken,
              key,
              options));
    }
  }

  /** All that was noted, in the order of the text; where two overlap the doubtful one stands. */
  List<Stretch> stretches() {
    List<Stretch> sorted = new ArrayList<>(stretches);
    sorted.sort(
        Comparator.comparing((Stretch s) -> s.certainty() != Certainty.GUESS)
            .thenComparingInt(Stretch::from)
            .thenComparing(s -> -s.to()));
    TreeMap<Integer, Stretch> all = new TreeMap<>();
    for (Stretch stretch : sorted) {
      Map.Entry<Integer, Stretch> before = all.lowerEntry(stretch.to());
      if (before == null || before.getValue().to() <= stretch.from()) {
        all.put(stretch.from(), stretch);
      }
    }
    return List.copyOf(all.values());
  }
}
