package dremsa.core.reading;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import org.jspecify.annotations.Nullable;

/** A verb of a note with what stands around it; or a line of a list, which has none. */
final class Clause {
  private final @Nullable Act act;
  private final int sentence;
  private final boolean negated;
  private final List<Item> items = new ArrayList<>();
  private Item.@Nullable Verb verb;
  private int from = Integer.MAX_VALUE;
  private int to;
  private int cueFrom;
  private int cueTo;

  Clause(@Nullable Act act, int sentence, boolean negated) {
    this.act = act;
    this.sentence = sentence;
    this.negated = negated;
  }

  void add(Item item) {
    items.add(item);
    from = Math.min(from, item.from());
    to = Math.max(to, item.to());
  }

  /** Takes out what stands from its last amount on; nothing where no thing stands there. */
  List<Item> sinceLastAmount() {
    int last = -1;
    for (int i = 0; i < items.size(); i++) {
      last = items.get(i) instanceof Item.Quantity ? i : last;
    }
    if (last < 1
        || items.subList(last, items.size()).stream().noneMatch(Item.Substance.class::isInstance)) {
      return List.of();
    }
    List<Item> taken = List.copyOf(items.subList(last, items.size()));
    items.subList(last, items.size()).clear();
    return taken;
  }

  /** Its verb. */
  Optional<Item.Verb> verb() {
    return Optional.ofNullable(verb);
  }

  void covers(Item.Verb item) {
    verb = item;
    from = Math.min(from, item.from());
    to = Math.max(to, item.to());
  }

  private static final Set<Act> TIMED =
      Set.of(Act.BOIL, Act.SIMMER, Act.STEEP, Act.BLEND, Act.COVER, Act.WAIT);

  /** {@code boil 10}: a number alone behind what takes its time is taken for minutes, and asked. */
  void minutes(Margin margin) {
    if (act == null || !TIMED.contains(act) || first(Item.Span.class).isPresent()) {
      return;
    }
    for (int i = 0; i < items.size(); i++) {
      boolean alone = i + 1 == items.size() || items.get(i + 1) instanceof Item.Break;
      if (alone
          && items.get(i) instanceof Item.Quantity q
          && q.spotted().measure() == null
          && !q.spotted().article()
          && verb != null
          && q.from() == verb.to()) {
        String key = margin.key("time", q.from(), q.to());
        boolean hours = margin.answer(key).filter("h"::equals).isPresent();
        double unit = hours ? 60 : 1;
        items.set(
            i,
            new Item.Span(
                q.from(), q.to(), q.spotted().low() * unit, q.spotted().high() * unit, true));
        margin.asked(
            q.from(),
            q.to(),
            Stretch.About.STEP,
            -1,
            hours ? "hours" : "minutes, as no unit is written",
            key,
            hours ? "h" : "min",
            List.of(new Stretch.Option("min", "minutes"), new Stretch.Option("h", "hours")));
        return;
      }
    }
  }

  /** What is done; empty for a line of a list. */
  Optional<Act> act() {
    return Optional.ofNullable(act);
  }

  boolean is(Act other) {
    return act == other;
  }

  /** Clauses of one sentence have its number. */
  int sentence() {
    return sentence;
  }

  /** Whether the writer says that it is not to be done. */
  boolean negated() {
    return negated;
  }

  List<Item> items() {
    return items;
  }

  int from() {
    return from;
  }

  int to() {
    return to;
  }

  /** Takes some tokens as what is to be seen, smelt or felt when it is done. */
  void cue(int first, int end) {
    cueFrom = first;
    cueTo = end;
    from = Math.min(from, first);
    to = Math.max(to, end);
  }

  int cueFrom() {
    return cueFrom;
  }

  int cueTo() {
    return cueTo;
  }

  boolean isEmpty() {
    return to == 0;
  }

  /** The first item of a kind. */
  <T extends Item> Optional<T> first(Class<T> kind) {
    return items.stream().filter(kind::isInstance).map(kind::cast).findFirst();
  }

  /** What a word of a role means here; empty where none stands here. */
  Optional<String> word(String role) {
    return words(role).stream().findFirst();
  }

  /** What all words of a role mean here. */
  List<String> words(String role) {
    return items.stream()
        .filter(item -> item instanceof Item.Word word && word.is(role))
        .map(item -> ((Item.Word) item).means())
        .toList();
  }

  boolean has(String role) {
    return !words(role).isEmpty();
  }
}
