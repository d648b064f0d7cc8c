package dremsa.core.reading;

import dremsa.core.measure.KitchenMeasures;
import java.util.ArrayList;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import org.jspecify.annotations.Nullable;

/**
 * Something named in a clause, with the amount and the state that belong to it.
 *
 * @param nameFrom the first token of its name and of what is said of its state before it
 * @param substance null where only a part is named: {@code the seeds}
 * @param unknownFrom the first token of a name that is not known; -1 where there is none
 * @param amount null where none is said
 * @param parts whether the amount is a number of parts
 * @param percent null where none is said
 * @param drops null where none is said
 * @param states all that is said of its state
 * @param part of the plant; empty when it is not said
 * @param other the other way to do it: {@code vinegar or lemon juice}
 * @param optional whether it can be left out
 * @param another whether it is more of what is there already
 */
record Mention(
    int from,
    int to,
    int nameFrom,
    Item.@Nullable Substance substance,
    int unknownFrom,
    Item.@Nullable Quantity amount,
    boolean parts,
    @Nullable Double percent,
    @Nullable Double drops,
    Set<String> states,
    String part,
    Item.@Nullable Substance other,
    boolean optional,
    boolean another) {

  boolean measured() {
    return amount != null || percent != null || drops != null;
  }

  /** Reads the things that a clause names. */
  static List<Mention> in(Clause clause) {
    return new Finder(clause).all();
  }

  private static final class Finder {
    private final List<Item> items;
    private final List<Mention> found = new ArrayList<>();
    private final boolean optional;
    private Item.@Nullable Quantity amount;
    private boolean parts;
    private @Nullable Double percent;
    private @Nullable Double drops;
    private Set<String> states = new LinkedHashSet<>();
    private boolean another;
    private int start = -1;
    private int stated = -1;
    private final List<Double> ratio = new ArrayList<>();

    Finder(Clause clause) {
      items = clause.items();
      optional = clause.has("optional");
      clause
          .first(Item.Ratio.class)
          .ifPresent(
              r -> {
                ratio.add(r.first());
                ratio.add(r.second());
              });
    }

    List<Mention> all() {
      for (int i = 0; i < items.size(); i++) {
        i = at(i);
      }
      return each(ratios(found));
    }

    /** Takes what stands at an index in; answers the last index taken. */
    private int at(int i) {
      Item item = items.get(i);
      if (item instanceof Item.Quantity quantity) {
        quantity(i, quantity);
      } else if (item instanceof Item.Percent share) {
        if (!last(i, share)) {
          percent = share.value();
          begin(item);
        }
      } else if (item instanceof Item.DropsEach each) {
        drops = each.drops();
        begin(item);
      } else if (item instanceof Item.Substance substance) {
        return substance(i, substance);
      } else if (item instanceof Item.Word word) {
        return word(i, word);
      } else if (item instanceof Item.Unknown) {
        return unknown(i);
      } else if (item instanceof Item.Break && amount == null && percent == null) {
        states = new LinkedHashSet<>();
        stated = -1;
      }
      return i;
    }

    private void begin(Item item) {
      if (start < 0) {
        start = item.from();
      }
    }

    private void quantity(int i, Item.Quantity quantity) {
      if (amount != null && quantity.spotted().measure() != null) {
        if (amount.spotted().measure() == null && !parts) {
          amount = quantity; // "1 (14 oz) tin"
        }
        return; // "1 cup (250 mL)": the first is meant.
      }
      if (amount == null && (isEach(i, quantity) || trails(i, quantity))) {
        return;
      }
      amount = quantity;
      begin(quantity);
    }

    /** {@code 10 drops of lavender oil per 100 mL}. */
    private boolean isEach(int i, Item.Quantity quantity) {
      boolean per = i > 0 && items.get(i - 1) instanceof Item.Word word && word.is("per");
      if (!per || found.isEmpty() || quantity.spotted().measure() == null) {
        return false;
      }
      Mention before = found.get(found.size() - 1);
      Item.Quantity drops = before.amount;
      if (drops == null
          || !KitchenMeasures.DROP.equals(drops.spotted().measure())
          || !quantity.spotted().measure().id().equals("ml")) {
        return false;
      }
      double number = (drops.spotted().low() + drops.spotted().high()) / 2;
      double each = number * 100 / quantity.spotted().typed("").size();
      found.set(found.size() - 1, before.dropsEach(each, quantity.to()));
      return true;
    }

    /** {@code flax 1/4 cup}, {@code rosemary (2 tbsp)}: an amount after its thing. */
    private boolean trails(int i, Item.Quantity quantity) {
      if (found.isEmpty() || named(i + 1)) {
        return false;
      }
      Mention before = found.get(found.size() - 1);
      if (before.measured() || between(before.to, i)) {
        return false;
      }
      found.set(found.size() - 1, before.with(quantity, null, Math.max(before.to, quantity.to())));
      return true;
    }

    private boolean last(int i, Item.Percent share) {
      if (found.isEmpty() || named(i + 1)) {
        return false;
      }
      Mention before = found.get(found.size() - 1);
      if (before.percent != null || between(before.to, i)) {
        return false;
      }
      found.set(found.size() - 1, before.with(before.amount, share.value(), share.to()));
      return true;
    }

    /** Whether more than a break or small words stands between a thing and an item. */
    private boolean between(int to, int index) {
      for (int k = 0; k < index; k++) {
        Item item = items.get(k);
        if (item.from() >= to
            && !(item instanceof Item.Break)
            && !Clauses.isSilent(item)
            && !(item instanceof Item.Word word && word.is("state"))) {
          return true;
        }
      }
      return false;
    }

    /** Whether a thing is named next, before anything is broken off. */
    private boolean named(int index) {
      for (int k = index; k < items.size(); k++) {
        Item item = items.get(k);
        if (item instanceof Item.Substance || item instanceof Item.Unknown) {
          return true;
        }
        boolean passes =
            Clauses.isSilent(item)
                || item instanceof Item.Word word
                    && (word.is("state") || word.is("part") || word.is("each") || word.is("form"));
        if (!passes) {
          return false;
        }
      }
      return false;
    }

    private int substance(int i, Item.Substance substance) {
      begin(substance);
      Set<String> all = new LinkedHashSet<>(states);
      all.addAll(substance.states());
      Item.Substance other = null;
      int to = substance.to();
      int last = i;
      int k = i + 1;
      // What is said of it after it: "(dried)", ", chopped".
      for (; k < items.size(); k++) {
        Item item = items.get(k);
        if (item instanceof Item.Word word && word.is("state") && !named(k + 1)) {
          all.add(word.means());
          last = k;
          to = word.to();
        } else if (item instanceof Item.Word word && word.is("or")) {
          Item.Substance choice = otherAt(k + 1);
          if (choice != null) {
            other = choice;
            last = items.indexOf(choice);
            to = choice.to();
          }
          break;
        } else if (!(item instanceof Item.Break)) {
          break;
        }
      }
      put(start, to, substance, -1, all, substance.part(), other);
      return last;
    }

    private Item.@Nullable Substance otherAt(int index) {
      for (int k = index; k < items.size(); k++) {
        Item item = items.get(k);
        if (item instanceof Item.Substance substance) {
          return substance;
        }
        if (!(item instanceof Item.Word word && (word.is("state") || word.is("fill")))) {
          return null;
        }
      }
      return null;
    }

    private int word(int i, Item.Word word) {
      switch (word.role()) {
        case "state" -> {
          states.add(word.means());
          stated = stated < 0 ? word.from() : stated;
          begin(word);
        }
        case "part" -> {
          if (word.means().equals("PART")) {
            parts = amount != null && amount.spotted().measure() == null;
          } else {
            begin(word);
            put(start, word.to(), null, -1, states, word.means(), null);
          }
        }
        case "form" -> {
          begin(word);
          put(start, word.to(), null, -1, states, word.means(), null);
        }
        case "another", "rest" -> another = true;
        default -> {
          // What says nothing of the thing leaves it as it is.
        }
      }
      return i;
    }

    /** A name that is in no list, where something must be named: {@code 2 tbsp hackberry leaf}. */
    private int unknown(int i) {
      if (!measuredNow()) {
        return i;
      }
      int k = i;
      String part = "";
      Item last = items.get(i);
      while (k + 1 < items.size()
          && (items.get(k + 1) instanceof Item.Unknown
              || items.get(k + 1) instanceof Item.Word w && (w.is("part") || w.is("form")))) {
        k++;
        last = items.get(k);
        if (last instanceof Item.Word word) {
          part = word.means();
        }
      }
      if (k + 1 < items.size() && items.get(k + 1) instanceof Item.Substance) {
        return k; // "2 tbsp Egyptian nigella": a word that describes what is known.
      }
      put(start, last.to(), null, items.get(i).from(), states, part, null);
      return k;
    }

    private boolean measuredNow() {
      return amount != null || percent != null || drops != null;
    }

    private void put(
        int from,
        int to,
        Item.@Nullable Substance substance,
        int unknownFrom,
        Set<String> all,
        String part,
        Item.@Nullable Substance other) {
      found.add(
          new Mention(
              from,
              to,
              nameStart(from, substance, unknownFrom),
              substance,
              unknownFrom,
              amount,
              parts,
              percent,
              drops,
              Set.copyOf(all),
              part,
              other,
              optional,
              another));
      amount = null;
      parts = false;
      percent = null;
      drops = null;
      another = false;
      states = new LinkedHashSet<>();
      start = -1;
      stated = -1;
    }

    private int nameStart(int from, Item.@Nullable Substance substance, int unknownFrom) {
      int name = substance != null ? substance.from() : unknownFrom >= 0 ? unknownFrom : from;
      return stated >= 0 && stated < name ? stated : name;
    }

    /** {@code flax and water 1:10}: the numbers go to the things in their order. */
    private List<Mention> ratios(List<Mention> all) {
      if (ratio.isEmpty()) {
        return all;
      }
      Item.Ratio said =
          items.stream()
              .filter(Item.Ratio.class::isInstance)
              .map(Item.Ratio.class::cast)
              .findFirst()
              .orElseThrow();
      List<Mention> named = new ArrayList<>();
      int next = 0;
      for (Mention mention : all) {
        if (!mention.measured() && mention.substance != null && next < ratio.size()) {
          double number = ratio.get(next++);
          named.add(mention.inParts(said, number));
        } else {
          named.add(mention);
        }
      }
      return named;
    }

    /** {@code 2 tbsp each of rosemary and mint}. */
    private List<Mention> each(List<Mention> all) {
      boolean said = items.stream().anyMatch(item -> item instanceof Item.Word w && w.is("each"));
      Optional<Mention> measured = all.stream().filter(m -> m.amount != null).findFirst();
      if (!said || measured.isEmpty()) {
        return all;
      }
      return all.stream()
          .map(
              m ->
                  m.measured() || m.substance == null
                      ? m
                      : m.with(measured.get().amount, null, m.to))
          .toList();
    }
  }

  private Mention with(Item.@Nullable Quantity quantity, @Nullable Double share, int end) {
    return measured(quantity, parts, share, drops, end);
  }

  private Mention dropsEach(double each, int end) {
    return measured(null, false, null, each, end);
  }

  private Mention inParts(Item.Ratio ratio, double number) {
    Item.Quantity quantity =
        new Item.Quantity(
            ratio.from(),
            ratio.to(),
            new dremsa.core.measure.AmountReader.Spotted(
                number, number, null, ratio.to(), ratio.to(), false, false));
    return measured(quantity, true, percent, drops, to);
  }

  /** The same thing named, with another measure of it, its words reaching to the end given. */
  private Mention measured(
      Item.@Nullable Quantity quantity,
      boolean parts,
      @Nullable Double percent,
      @Nullable Double drops,
      int end) {
    return new Mention(
        from,
        end,
        nameFrom,
        substance,
        unknownFrom,
        quantity,
        parts,
        percent,
        drops,
        states,
        part,
        other,
        optional,
        another);
  }
}
