package dremsa.core.people;

import dremsa.core.material.Virtue;
import java.util.Optional;

/**
 * How long something stays on the hair before it is rinsed out, and what comes then. Common
 * practice.
 *
 * @param least shorter does little, min
 * @param usual min
 * @param most longer does harm or nothing more, min
 * @param then what follows
 */
public record Contact(double least, double usual, double most, String then) {
  private static final String RINSED = "Rinse it out with lukewarm water.";

  private static final Contact CONDITIONER = new Contact(3, 5, 15, RINSED);
  private static final Contact MASKED = new Contact(20, 30, 45, RINSED);

  /** The window of a product in its place; empty where it stays on. */
  public static Optional<Contact> of(SlotKind slot, Product product) {
    Optional<Contact> usual =
        switch (slot) {
          case PRE_WASH -> Optional.of(new Contact(15, 30, 180, "Shampoo it out."));
          case SCALP ->
              product.holds(Virtue.IRRITANT)
                  ? Optional.of(new Contact(30, 45, 60, "Shampoo it out."))
                  : Optional.empty();
          case CONDITION -> Optional.of(CONDITIONER);
          case MASK -> Optional.of(MASKED);
          case RINSE ->
              product.protein() == Product.Protein.NONE
                  ? Optional.of(new Contact(2, 5, 15, "Rinse cool, or leave it: schools differ."))
                  : Optional.of(new Contact(10, 15, 20, "Rinse it out; conditioner after it."));
          case DETANGLE, SHAMPOO, LEAVE_IN, BETWEEN_BRAIDS, CREAM, STYLER, SEAL, SCALP_OIL, DRY ->
              Optional.empty();
        };
    double longest = HeadLimits.longestOn(product);
    return usual.map(contact -> contact.within(longest));
  }

  /** The window of something bought, of which only its place is known. */
  static Optional<Contact> ofBought(SlotKind slot) {
    return switch (slot) {
      case CONDITION -> Optional.of(CONDITIONER);
      case MASK -> Optional.of(MASKED);
      default -> Optional.empty();
    };
  }

  private Contact within(double longest) {
    double end = Math.min(most, longest);
    return new Contact(Math.min(least, end), Math.min(usual, end), end, then);
  }
}
