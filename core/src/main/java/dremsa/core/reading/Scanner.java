package dremsa.core.reading;

import dremsa.core.measure.AmountReader;
import dremsa.core.measure.AmountReader.Spotted;
import dremsa.core.measure.KitchenMeasure;
import dremsa.core.measure.Token;
import dremsa.core.reading.Lexicon.Hit;
import dremsa.core.reading.Lexicon.Sense;
import java.util.ArrayList;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import org.jspecify.annotations.Nullable;

/** Tells the stretches of a text apart: amounts, times, names of what goes in, verbs, the rest. */
final class Scanner {
  private static final Set<String> SENTENCE_ENDS = Set.of(".", ";", "!", "?", "\n", "•", "*", "→");
  private static final Set<String> WEAK = Set.of(",", ":", "(", ")", "+", "-", "–", "—", "&", "/");
  private static final Set<String> JOINS =
      Set.of("and", "then", "plus", "n", "&", "next", "afterwards");

  private final List<Token> tokens;
  private final Lexicon lexicon;
  private final AmountReader amounts;
  private final List<Item> items = new ArrayList<>();

  /** Where a fruit stands whose juice is meant; -1 for nowhere. */
  private int juiceAt = -1;

  private Scanner(List<Token> tokens, Lexicon lexicon, AmountReader amounts) {
    this.tokens = tokens;
    this.lexicon = lexicon;
    this.amounts = amounts;
  }

  /** The items of a text, in its order; together they cover every token. */
  static List<Item> scan(List<Token> tokens, Lexicon lexicon, AmountReader amounts) {
    Scanner scanner = new Scanner(tokens, lexicon, amounts);
    int at = 0;
    while (at < tokens.size()) {
      Item item = scanner.at(at);
      scanner.items.add(item);
      at = item.to();
    }
    return scanner.items;
  }

  private Item at(int at) {
    Token token = tokens.get(at);
    Item marker = marker(at);
    if (marker != null) {
      return marker;
    }
    if (SENTENCE_ENDS.contains(token.text())) {
      return new Item.Break(at, at + 1, true);
    }
    Item juice = juiceOf(at);
    if (juice != null) {
      return juice;
    }
    Item number = number(at);
    if (number != null) {
      return number;
    }
    Item substance = substance(at);
    Hit hit = lexicon.word(tokens, at);
    if (substance != null && core(at) >= hit.length()) {
      return substance;
    }
    if (JOINS.contains(token.text()) && hit.length() <= 1) {
      return new Item.Break(
          at,
          at + 1,
          false,
          token.is("then") || token.is("afterwards"),
          token.is("and") || token.is("&") || token.is("n"));
    }
    if (hit.length() > 0) {
      return word(at, hit);
    }
    if (WEAK.contains(token.text())) {
      return new Item.Break(at, at + 1, false);
    }
    return token.isWord() || token.isDigits()
        ? new Item.Unknown(at, at + 1)
        : new Item.Break(at, at + 1, false);
  }

  /** {@code 1.}, {@code 2)}, {@code -}, {@code step 3:} at the beginning of a line. */
  private @Nullable Item marker(int at) {
    boolean begins = at == 0 || tokens.get(at - 1).is("\n");
    Token token = tokens.get(at);
    if (!begins) {
      return null;
    }
    if (token.isDigits()
        && at + 1 < tokens.size()
        && (tokens.get(at + 1).is(".") || tokens.get(at + 1).is(")"))) {
      return new Item.Break(at, at + 2, true);
    }
    if (token.is("step") && at + 1 < tokens.size() && tokens.get(at + 1).isDigits()) {
      return new Item.Break(at, at + 2, true);
    }
    return token.is("-") || token.is("–") || token.is("—") || token.is("#") || token.is("+")
        ? new Item.Break(at, at + 1, true)
        : null;
  }

  private @Nullable Item number(int at) {
    Token token = tokens.get(at);
    if (!token.isDigits() && !token.isWord() && "½⅓⅔¼¾⅛⅜⅝⅞~".indexOf(token.text().charAt(0)) < 0) {
      return null;
    }
    Hit phrase = lexicon.word(tokens, at);
    if (phrase.length() > 1 && role(phrase.senses(), "fill") != null) {
      return null; // "half strength" is no half of anything.
    }
    Optional<Item.Warmth> warmth = Times.warmth(tokens, at);
    if (warmth.isPresent()) {
      return warmth.get();
    }
    Optional<Item.Span> span = Times.span(tokens, at);
    if (span.isPresent()) {
      return span.get();
    }
    Optional<Spotted> spotted = amounts.spot(tokens, at);
    if (spotted.isEmpty()) {
      return measureAlone(at);
    }
    Spotted found = spotted.get();
    int to = found.to();
    if (found.measure() == null) {
      Item other = notAnAmount(at, found);
      if (other != null) {
        return other;
      }
      if (found.article()) {
        return counted(to) ? new Item.Quantity(at, to, found) : null;
      }
    } else if (found.measure().id().equals("drop")) {
      Item.DropsEach each = dropsEach(at, found);
      if (each != null) {
        return each;
      }
    }
    boolean into =
        found.measure() != null
            && at > 0
            && Set.of("in", "into", "to").contains(tokens.get(at - 1).text())
            && hasVessel(found);
    if (found.article() && (into || isVessel(found.measureFrom()))) {
      return null;
    }
    return new Item.Quantity(at, found.measure() == null ? to : pastPoint(to), found);
  }

  /** {@code in a mug}, where nothing follows that the mug would be of. */
  private boolean hasVessel(Spotted found) {
    boolean vessel =
        lexicon.word(tokens, found.measureFrom()).senses().stream()
            .anyMatch(s -> s.role().equals("container") || s.role().equals("vessel"));
    return vessel && (found.to() >= tokens.size() || !tokens.get(found.to()).is("of"));
  }

  /** {@code a glass jar} is no glass of anything. */
  private boolean isVessel(int at) {
    Hit hit = lexicon.word(tokens, at);
    return hit.length() > 1
        && hit.senses().stream()
            .anyMatch(s -> s.role().equals("container") || s.role().equals("vessel"));
  }

  /**
   * A short form may have its point, {@code 2 c. water}; after its thing it is a sentence's end.
   */
  private int pastPoint(int to) {
    if (to + 1 >= tokens.size()
        || !tokens.get(to).is(".")
        || tokens.get(to - 1).text().length() > 5) {
      return to;
    }
    boolean goesOn = Character.isLowerCase(tokens.get(to + 1).raw().charAt(0));
    return goesOn || !substanceBefore() && tokens.get(to + 1).isWord() ? to + 1 : to;
  }

  /** {@code Handful of mint} at the beginning of a line: one of it. */
  private @Nullable Item measureAlone(int at) {
    boolean begins = items.isEmpty() || opensClause(at);
    KitchenMeasure measure = amounts.measure(tokens.get(at).text()).orElse(null);
    boolean loose = measure != null && measure.isLoose() && tokens.get(at).text().length() > 3;
    if (!begins || !loose || at + 1 >= tokens.size()) {
      return null;
    }
    int next = tokens.get(at + 1).is("of") ? at + 2 : at + 1;
    boolean named =
        next < tokens.size()
            && (lexicon.name(tokens, next).length() > 0
                || role(lexicon.word(tokens, next).senses(), "state") != null);
    return named
        ? new Item.Quantity(at, at + 1, new Spotted(1, 1, measure, at, at + 1, false, true))
        : null;
  }

  /** {@code an onion}, {@code a large aloe leaf}. */
  private boolean counted(int at) {
    int next = at;
    for (int i = 0; i < 3 && next < tokens.size(); i++) {
      Hit name = lexicon.name(tokens, next);
      if (name.length() > 0) {
        return lexicon.isCounted(name);
      }
      Hit state = lexicon.word(tokens, next);
      if (role(state.senses(), "state") == null) {
        return false;
      }
      next = state.to();
    }
    return false;
  }

  /** {@code the juice of half a lemon}: so much of the fruit, but its juice. */
  private @Nullable Item juiceOf(int at) {
    if (!tokens.get(at).is("juice") || at + 2 >= tokens.size() || !tokens.get(at + 1).is("of")) {
      return null;
    }
    Optional<Spotted> number = amounts.spot(tokens, at + 2);
    if (number.isEmpty() || number.get().measure() != null) {
      return null;
    }
    int name = number.get().to();
    for (int i = 0;
        i < 2 && name < tokens.size() && lexicon.name(tokens, name).length() == 0;
        i++) {
      name++;
    }
    if (name >= tokens.size() || lexicon.name(tokens, name).length() == 0) {
      return null;
    }
    juiceAt = name;
    return new Item.Quantity(at, name, number.get());
  }

  private @Nullable Item notAnAmount(int at, Spotted found) {
    int to = found.to();
    if (to >= tokens.size()) {
      return null;
    }
    Token next = tokens.get(to);
    if (next.is("%") || next.is("percent") || next.text().equals("proof")) {
      double value = (found.low() + found.high()) / 2;
      return new Item.Percent(at, to + 1, next.is("proof") ? value / 2 : value);
    }
    if (next.is(":")
        && to + 1 < tokens.size()
        && tokens.get(to + 1).isDigits()
        && tokens.get(at).isDigits()
        && next.from() == tokens.get(to - 1).to()) {
      return new Item.Ratio(at, to + 2, found.low(), tokens.get(to + 1).number());
    }
    return null;
  }

  /** {@code 10 drops per 100 mL}, {@code 10 drops to each 100 mL}. */
  private Item.@Nullable DropsEach dropsEach(int at, Spotted drops) {
    int next = drops.to();
    Hit per = next < tokens.size() ? lexicon.word(tokens, next) : null;
    if (per == null || per.senses().stream().noneMatch(sense -> sense.role().equals("per"))) {
      return null;
    }
    Optional<Spotted> of =
        per.to() < tokens.size() ? amounts.spot(tokens, per.to()) : Optional.empty();
    if (of.isEmpty() || of.get().measure() == null || of.get().article()) {
      return null;
    }
    boolean volume = of.get().typed("").measure().id().equals("ml");
    double each = (drops.low() + drops.high()) / 2;
    return volume
        ? new Item.DropsEach(at, of.get().to(), each * 100 / of.get().typed("").size())
        : null;
  }

  /** Words of the name that a substance here would be found by. */
  private int core(int at) {
    return lexicon.name(tokens, at).length();
  }

  private @Nullable Item substance(int at) {
    Hit name = lexicon.name(tokens, at);
    if (name.length() == 0) {
      return null;
    }
    Set<String> ids = new LinkedHashSet<>();
    name.senses().forEach(sense -> ids.add(sense.means()));
    return withForm(at, name.to(), List.copyOf(ids), String.join(" ", name.words()));
  }

  /** What follows a name and belongs to it: its part, its form, its state in brackets. */
  private Item withForm(int from, int nameTo, List<String> ids, String said) {
    Set<String> states = new LinkedHashSet<>();
    String form = from == juiceAt ? "juice" : "";
    String part = "";
    int to = nameTo;
    for (int next = nameTo; next < tokens.size(); ) {
      Hit hit = lexicon.word(tokens, next);
      Sense sense =
          hit.senses().stream()
              .filter(s -> s.role().equals("form") || s.role().equals("part"))
              .findFirst()
              .orElse(null);
      if (sense == null) {
        Sense state = after(hit);
        if (state == null || lexicon.name(tokens, next).length() >= hit.length()) {
          break;
        }
        states.add(state.means());
      } else if (sense.role().equals("form")) {
        form = sense.means();
      } else {
        part = sense.means();
      }
      next = hit.to();
      to = next;
    }
    return new Item.Substance(from, to, ids, said, states, form, part);
  }

  /**
   * A state that stands after a name without a comma: {@code hibiscus dried}, {@code ginger
   * powder}.
   */
  private static @Nullable Sense after(Hit hit) {
    return hit.senses().size() == 1
            || hit.senses().stream().anyMatch(s -> s.means().equals("powder"))
        ? hit.senses().stream()
            .filter(s -> s.role().equals("state"))
            .filter(s -> Set.of("powder", "dried", "fresh").contains(s.means()))
            .findFirst()
            .orElse(null)
        : null;
  }

  private Item word(int at, Hit hit) {
    Sense best = hit.senses().get(0);
    if (hit.senses().size() > 1) {
      best = choose(at, hit);
    }
    return best.role().equals("verb")
        ? new Item.Verb(at, hit.to(), Act.valueOf(best.means()))
        : new Item.Word(at, hit.to(), best.role(), best.means());
  }

  /** Of several roles the one that what stands around allows. */
  private Sense choose(int at, Hit hit) {
    List<Sense> senses = hit.senses();
    Sense state = role(senses, "state");
    Sense verb = role(senses, "verb");
    if (state != null && describes(at, hit)) {
      return state;
    }
    Sense container = role(senses, "container");
    if (verb != null && container != null) {
      return opensClause(at) ? verb : container;
    }
    if (verb != null) {
      Sense noun = role(senses, "ref");
      boolean named =
          at > 0 && Set.of("the", "your", "this", "my", "a").contains(tokens.get(at - 1).text());
      return noun != null && named ? noun : verb;
    }
    if (container != null) {
      return container;
    }
    for (String role : List.of("heat", "tool", "vessel", "ref", "part", "form")) {
      Sense sense = role(senses, role);
      if (sense != null) {
        return sense;
      }
    }
    return senses.get(0);
  }

  private static @Nullable Sense role(List<Sense> senses, String role) {
    return senses.stream().filter(sense -> sense.role().equals(role)).findFirst().orElse(null);
  }

  /**
   * Whether it says how the thing after it is, or the thing before it: {@code dried}, {@code
   * chopped}.
   */
  private boolean describes(int at, Hit hit) {
    int next = hit.to();
    boolean article =
        next < tokens.size()
            && Set.of(
                    "the",
                    "it",
                    "them",
                    "your",
                    "in",
                    "for",
                    "until",
                    "till",
                    "well",
                    "fully",
                    "down",
                    "through",
                    "all",
                    "to",
                    "off",
                    "over",
                    "with",
                    "covered",
                    "overnight",
                    "on",
                    "uncovered")
                .contains(tokens.get(next).text());
    if (article) {
      return false;
    }
    for (int i = 0; i < 4 && next < tokens.size(); i++) {
      if (lexicon.name(tokens, next).length() > 0) {
        return !opensClause(at) || quantityBefore(at);
      }
      Hit more = lexicon.word(tokens, next);
      if (role(more.senses(), "state") == null
          && role(more.senses(), "part") == null
          && !tokens.get(next).is(",")
          && !tokens.get(next).is("and")
          && !tokens.get(next).is("-")) {
        if (more.length() == 0 && tokens.get(next).isWord()) {
          return quantityBefore(at);
        }
        break;
      }
      if (role(more.senses(), "part") != null) {
        return quantityBefore(at);
      }
      next = more.length() > 0 ? more.to() : next + 1;
    }
    // "2 onions, chopped"
    return !items.isEmpty() && substanceBefore() && endsHere(hit.to());
  }

  private boolean quantityBefore(int at) {
    for (int i = items.size() - 1; i >= 0 && i >= items.size() - 4; i--) {
      Item item = items.get(i);
      if (item instanceof Item.Quantity || item instanceof Item.Percent) {
        return true;
      }
      boolean passes = item instanceof Item.Word w && (w.is("state") || w.is("fill"));
      if (!passes) {
        return false;
      }
    }
    return at == 0;
  }

  private boolean substanceBefore() {
    for (int i = items.size() - 1; i >= 0 && i >= items.size() - 3; i--) {
      Item item = items.get(i);
      if (item instanceof Item.Substance) {
        return true;
      }
      if (item instanceof Item.Break b && b.strong()
          || item instanceof Item.Verb
          || item instanceof Item.Unknown) {
        return false;
      }
    }
    return false;
  }

  private boolean endsHere(int to) {
    return to >= tokens.size()
        || Set.of("\n", ",", ")", ";", "and", ".").contains(tokens.get(to).text());
  }

  private boolean opensClause(int at) {
    return items.isEmpty() || items.get(items.size() - 1) instanceof Item.Break;
  }
}
