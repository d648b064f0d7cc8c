package dremsa.core.reading;

import dremsa.core.reading.Stretch.About;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Set;
import org.jspecify.annotations.Nullable;

/** Parts what stands in a note into its clauses, and sets aside what is not about the pot. */
final class Clauses {
  /** What a word of the list means that begins a cue. */
  private static final String CUE = "CUE";

  /** The same before the verb: {@code when it froths, take it off}. */
  private static final String WHEN = "WHEN";

  private static final Set<String> SILENT = Set.of("fill", "title", "after");

  private final List<Item> items;
  private final Margin margin;
  private final List<Clause> clauses = new ArrayList<>();
  private int sentence;

  private Clauses(List<Item> items, Margin margin) {
    this.items = items;
    this.margin = margin;
  }

  /** The clauses of a note, in its order. */
  static List<Clause> of(List<Item> items, Margin margin) {
    Clauses all = new Clauses(items, margin);
    List<Item> current = new ArrayList<>();
    for (Item item : items) {
      if (item instanceof Item.Break b && b.strong()) {
        all.sentence(current);
        current = new ArrayList<>();
      } else {
        current.add(item);
      }
    }
    all.sentence(current);
    return all.clauses;
  }

  private void sentence(List<Item> said) {
    if (said.isEmpty()) {
      return;
    }
    sentence++;
    List<Item> about = aboutThePot(said);
    @Nullable Clause current = null;
    List<Item> lead = new ArrayList<>();
    boolean fresh = true;
    boolean not = false;
    for (int i = 0; i < about.size(); i++) {
      Item item = about.get(i);
      if (item instanceof Item.Verb verb) {
        if (current != null && verb.act() == Act.ADD && isPast(verb) && !namesAhead(about, i + 1)) {
          lead.addAll(current.sinceLastAmount());
        }
        current = new Clause(verb.act(), sentence, not);
        for (Item early : lead) {
          current.add(early);
        }
        current.covers(verb);
        lead.clear();
        clauses.add(current);
        fresh = false;
        not = false;
      } else if (current != null
          && item instanceof Item.Word word
          && word.is("until")
          && word.means().equals(CUE)
          && !measured(about, i)) {
        int end = cueEnd(about, i);
        current.cue(item.from(), about.get(end - 1).to());
        i = end - 1;
      } else if (item instanceof Item.Word word
          && word.is("until")
          && word.means().equals(WHEN)
          && (current == null || fresh)) {
        int end = cueEnd(about, i);
        if (!clauses.isEmpty()) {
          clauses.get(clauses.size() - 1).cue(item.from(), about.get(end - 1).to());
        }
        lead.add(new Item.Word(item.from(), item.to(), "after", "AFTER"));
        i = end - 1;
      } else if (item instanceof Item.Break) {
        fresh = true;
        if (((Item.Break) item).then()
            && current != null
            && straining(current)
            && toolNext(about, i + 1)) {
          Clause again = new Clause(Act.STRAIN, sentence, false);
          again.add(new Item.Word(item.from(), item.to(), "another", "ANOTHER"));
          clauses.add(again);
          current = again;
        }
        // The break is kept: what stands after a comma is one more thing, not more of one.
        (current == null ? lead : current.items()).add(item);
      } else if (item instanceof Item.Word word && word.is("not")) {
        not = true;
      } else {
        if (current == null || fresh && verbAhead(about, i)) {
          lead.add(item);
        } else {
          current.add(item);
        }
      }
    }
    for (Clause clause : clauses) {
      if (clause.sentence() == sentence) {
        clause.minutes(margin);
      }
    }
    if (!lead.isEmpty() && lead.stream().anyMatch(item -> !(item instanceof Item.Break))) {
      Clause rest = current == null ? new Clause(null, sentence, false) : current;
      lead.forEach(rest::add);
      if (current == null) {
        clauses.add(rest);
      }
    }
  }

  /** {@code simmered, with vinegar added when cool}: what is added stands before the verb. */
  private boolean isPast(Item.Verb verb) {
    return margin.words(verb.from(), verb.to()).toLowerCase(Locale.ROOT).startsWith("added");
  }

  private static boolean namesAhead(List<Item> said, int at) {
    return said.subList(at, said.size()).stream()
        .takeWhile(item -> !(item instanceof Item.Break))
        .anyMatch(Item.Substance.class::isInstance);
  }

  private static boolean straining(Clause clause) {
    return clause.is(Act.STRAIN) || clause.is(Act.SQUEEZE) || clause.is(Act.POUR);
  }

  private static boolean toolNext(List<Item> said, int at) {
    return !verbAhead(said, at)
        && said.subList(at, said.size()).stream()
            .takeWhile(item -> !(item instanceof Item.Break))
            .anyMatch(item -> item instanceof Item.Word word && word.is("tool"));
  }

  /** {@code until 40 °C}, {@code until the next day}: a measure, and no cue. */
  private static boolean measured(List<Item> said, int at) {
    return at + 1 < said.size()
        && (said.get(at + 1) instanceof Item.Warmth || said.get(at + 1) instanceof Item.Span);
  }

  /** A cue goes on to the next comma, and over an "and" when nothing is to be done after it. */
  private static int cueEnd(List<Item> said, int at) {
    int end = at + 1;
    while (end < said.size()) {
      Item item = said.get(end);
      boolean stops =
          item instanceof Item.Break b && (b.then() || !b.and() || doesNext(said, end + 1))
              || item instanceof Item.Quantity
              || item instanceof Item.Span;
      if (stops) {
        break;
      }
      end++;
    }
    return end;
  }

  private static boolean doesNext(List<Item> said, int at) {
    return at >= said.size()
        || verbAhead(said, at)
        || said.subList(at, said.size()).stream()
            .takeWhile(item -> !(item instanceof Item.Break))
            .anyMatch(
                item ->
                    item instanceof Item.Quantity
                        || item instanceof Item.Span
                        || item instanceof Item.Word w
                            && (w.is("tool")
                                || w.is("container")
                                || w.is("place")
                                || w.is("heat")));
  }

  /** Whether a verb comes before the next comma. */
  private static boolean verbAhead(List<Item> said, int at) {
    for (int i = at; i < said.size(); i++) {
      if (said.get(i) instanceof Item.Verb) {
        return true;
      }
      if (said.get(i) instanceof Item.Break) {
        return false;
      }
    }
    return false;
  }

  /** What of a sentence is about the pot; what is about the head is noted and left out. */
  private List<Item> aboutThePot(List<Item> said) {
    List<Item> kept = new ArrayList<>();
    int start = 0;
    for (int end = 0; end <= said.size(); end++) {
      boolean ends = end == said.size() || said.get(end) instanceof Item.Break;
      if (!ends) {
        continue;
      }
      List<Item> part = said.subList(start, end);
      if (uses(part)) {
        note(said.subList(start, said.size()));
        return kept;
      }
      if (onTheHead(part)) {
        note(part);
      } else {
        kept.addAll(part);
      }
      if (end < said.size()) {
        kept.add(said.get(end));
      }
      start = end + 1;
    }
    return kept;
  }

  private static boolean uses(List<Item> part) {
    return part.stream().anyMatch(item -> item instanceof Item.Verb verb && verb.act() == Act.USE);
  }

  private static boolean onTheHead(List<Item> part) {
    return part.stream().anyMatch(item -> item instanceof Item.Word word && word.is("body"))
        && part.stream().noneMatch(item -> item instanceof Item.Quantity);
  }

  private void note(List<Item> part) {
    if (part.isEmpty()) {
      return;
    }
    margin.read(
        part.get(0).from(),
        part.get(part.size() - 1).to(),
        About.USE,
        -1,
        "kept as a note on using it");
  }

  /** Whether a word tells nothing by itself. */
  static boolean isSilent(Item item) {
    return item instanceof Item.Word word && SILENT.contains(word.role());
  }
}
