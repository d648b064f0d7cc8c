package dremsa.core.people;

import dremsa.core.formula.Purpose;
import dremsa.core.scale.Dose;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import org.jspecify.annotations.Nullable;

/** A place in a wash day, in the usual order. */
public enum SlotKind {
  /** With nothing, or with what somebody likes for its slip. */
  DETANGLE("detangle", Set.of(), Dose.Use.LEAVE_IN, false),
  PRE_WASH("before the wash", Set.of(Purpose.PRE_WASH), Dose.Use.GEL, false),
  SCALP("scalp treatment", Set.of(Purpose.SCALP), Dose.Use.SCALP, true),
  SHAMPOO("shampoo", Set.of(), null, false),
  CONDITION("conditioner", Set.of(Purpose.CONDITIONER), Dose.Use.GEL, false),
  MASK("mask", Set.of(Purpose.MASK), Dose.Use.GEL, false),
  RINSE("rinse", Set.of(Purpose.RINSE), Dose.Use.RINSE, false),
  LEAVE_IN("leave-in spray", Set.of(Purpose.LEAVE_IN), Dose.Use.LEAVE_IN, true),
  BETWEEN_BRAIDS("between the braids", Set.of(Purpose.LEAVE_IN), Dose.Use.SOAKING, true),
  CREAM("cream", Set.of(Purpose.CONDITIONER), Dose.Use.GEL, true),
  STYLER("styler", Set.of(Purpose.STYLER), Dose.Use.GEL, true),
  SEAL("oil to seal", Set.of(Purpose.OIL), Dose.Use.OIL, true),
  SCALP_OIL("oil for the scalp", Set.of(Purpose.OIL), Dose.Use.OIL, true),
  DRY("dry", Set.of(), null, false);

  private final String words;
  private final Set<Purpose> purposes;
  private final Optional<Dose.Use> dose;
  private final boolean leftOn;

  SlotKind(String words, Set<Purpose> purposes, Dose.@Nullable Use dose, boolean leftOn) {
    this.words = words;
    this.purposes = purposes;
    this.dose = Optional.ofNullable(dose);
    this.leftOn = leftOn;
  }

  public String words() {
    return words;
  }

  /** What may be used there, where nothing else is said; empty where nothing of ours is. */
  public Set<Purpose> purposes() {
    return purposes;
  }

  /** How a dose for it is reckoned; empty where nothing of ours is used. */
  public Optional<Dose.Use> dose() {
    return dose;
  }

  /** Whether what is used there stays on until the next wash. */
  public boolean leftOn() {
    return leftOn;
  }

  /** Where something is used that was meant for a purpose. */
  public static Optional<SlotKind> of(Purpose purpose) {
    return List.of(values()).stream().filter(kind -> kind.purposes.contains(purpose)).findFirst();
  }
}
