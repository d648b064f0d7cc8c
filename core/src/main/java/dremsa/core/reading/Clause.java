package dremsa.core.reading;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
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

  /** Its verb. */
  Optional<Item.Verb> verb() {
    return Optional.ofNullable(verb);
  }

  void covers(Item.Verb item) {
    verb = item;
    from = Math.min(from, item.from());
    to = Math.max(to, item.to());
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
