package dremsa.core.people;

import dremsa.core.measure.Said;
import dremsa.core.scale.Dose;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;

/**
 * Something that hands do on one head, and how long it then rests.
 *
 * @param place which place of the occasion it belongs to, from 0
 * @param words what to do
 * @param hands minutes of work
 * @param rest how long before the next thing on this head; empty where that may follow at once
 */
public record WashStep(int place, String words, double hands, Optional<Contact> rest) {
  /** Massaged with fingertips so long; common practice, min. */
  private static final double MASSAGE = 6;

  /** Rinsing takes so long; our estimate, min. */
  private static final double RINSING = 3;

  /** What is done on a head, from the places of its occasion. */
  static List<WashStep> of(Person person, List<Sheet.Place> places) {
    List<WashStep> steps = new ArrayList<>();
    for (int i = 0; i < places.size(); i++) {
      Sheet.Place place = places.get(i);
      if (place.leftOut()) {
        continue;
      }
      Optional<Contact> contact = place.contact();
      steps.add(new WashStep(i, words(person, place), hands(person.hair(), place.slot()), contact));
      boolean washedNext =
          i + 1 < places.size()
              && places.get(i + 1).slot() == SlotKind.SHAMPOO
              && !places.get(i + 1).leftOut();
      if (contact.isPresent() && !washedNext) {
        steps.add(new WashStep(i, contact.get().then(), RINSING, Optional.empty()));
      }
    }
    return steps;
  }

  /** Minutes of work; our estimates, longer for longer and thicker hair. */
  private static double hands(Hair hair, SlotKind slot) {
    double little =
        switch (slot) {
          case DETANGLE -> 10;
          case PRE_WASH -> 7 + MASSAGE;
          case SCALP -> 6 + MASSAGE;
          case SHAMPOO -> 5;
          case CONDITION, MASK, CREAM -> 4;
          case RINSE -> 3 + MASSAGE;
          case LEAVE_IN, SEAL -> 3;
          case BETWEEN_BRAIDS, SCALP_OIL -> 6;
          case STYLER -> 8;
          case DRY -> 2;
        };
    double length =
        switch (hair.length()) {
          case SHORT -> 1;
          case MEDIUM -> 1.4;
          case LONG -> 2;
        };
    double density = hair.density() == Dose.Density.DENSE ? 1.2 : 1;
    return Math.round(little * length * density);
  }

  private static String words(Person person, Sheet.Place place) {
    String what = place.what();
    String worked =
        switch (place.slot()) {
          case DETANGLE ->
              what.isEmpty()
                  ? "Detangle in sections with a wide comb, ends first."
                  : "Work " + what + " in for slip and detangle with a wide comb, ends first.";
          case PRE_WASH ->
              "Wet the hair and part it in sections. Work "
                  + what
                  + " in, scalp first, then lengths, ends and edges. Massage with fingertips, not"
                  + " nails. Cap on.";
          case SCALP ->
              "Part the hair and put "
                  + what
                  + " on the scalp, row by row. Massage with fingertips, not nails.";
          case SHAMPOO ->
              "Shampoo the scalp"
                  + (what.isEmpty() ? "" : " with " + what)
                  + ", let it run through the lengths, rinse.";
          case CONDITION ->
              "Smooth "
                  + orProduct(what, "conditioner")
                  + " through lengths and ends, comb it through.";
          case MASK ->
              "Part in sections and work "
                  + orProduct(what, "the mask")
                  + " in from roots to ends. Cap on.";
          case RINSE ->
              "Pour "
                  + orProduct(what, "the rinse")
                  + " over the scalp and through the lengths, catch it in a bowl, pour again. Massage"
                  + " with fingertips.";
          case LEAVE_IN ->
              "Spray "
                  + orProduct(what, "the leave-in")
                  + " on damp, not dripping hair, scalp and lengths. Eyes closed.";
          case BETWEEN_BRAIDS ->
              "Spray "
                  + orProduct(what, "the spray")
                  + " between the rows, on scalp and lengths, till they are soaked. Eyes closed.";
          case CREAM -> "Work " + orProduct(what, "the cream") + " through the lengths.";
          case STYLER ->
              curly(person)
                  ? "On soaking wet hair: scrunch " + orProduct(what, "the gel") + " in from below."
                  : "On wet hair: smooth " + orProduct(what, "the gel") + " through.";
          case SEAL ->
              "Rub "
                  + orProduct(what, "a little oil")
                  + " between the palms and over ends and edges.";
          case SCALP_OIL -> "Put " + orProduct(what, "a little oil") + " between the rows.";
          case DRY -> "Press dry with a soft towel, let the rest dry in the air.";
        };
    return worked;
  }

  private static boolean curly(Person person) {
    return switch (person.hair().pattern()) {
      case STRAIGHT, WAVY -> false;
      case CURLY, COILED, TIGHTLY_COILED -> true;
    };
  }

  private static String orProduct(String what, String otherwise) {
    return what.isEmpty() ? otherwise : what;
  }

  /** Some of a brew, as it stands in a sentence: {@code "50 mL of the linseed gel"}. */
  static String amount(double millilitres, String name) {
    return Said.of("%.0f mL of %s", millilitres, name);
  }
}
