package dremsa.core.material;

import java.util.List;

/** What sort of thing a material is; decides the default figures and what may be done with it. */
public enum MaterialKind {
  WATER("water", Role.LIQUID),
  LEAF("dried leaf", Role.PLANT),
  FLOWER("dried flower", Role.PLANT),
  ROOT("dried root", Role.PLANT),
  BARK("dried bark", Role.PLANT),
  BUD("bud", Role.PLANT),
  SEED("whole seed", Role.PLANT),
  GUM_SEED("gum seed", Role.PLANT),
  GRAIN("grain", Role.PLANT),
  SEAWEED("seaweed", Role.PLANT),
  POWDER("plant powder", Role.PLANT),
  GUM_POWDER("gum powder", Role.PLANT),
  FRESH_LEAF("fresh leaf", Role.PLANT),
  FRESH_PLANT("fresh root, fruit or bulb", Role.PLANT),
  ALOE_LEAF("fresh aloe leaf", Role.PLANT),
  JUICE("raw juice", Role.LIQUID),
  /** Kitchen food that is stirred in and spoils as raw juice does: egg, milk, honey. */
  FOOD("egg, milk or honey", Role.LIQUID),
  HYDROLAT("hydrolat", Role.LIQUID),
  ACID("acid liquid", Role.LIQUID),
  SPIRIT("spirit", Role.LIQUID),
  GLYCERIN("glycerin", Role.LIQUID),
  CARRIER_OIL("carrier oil", Role.OIL),
  INFUSED_OIL("infused oil", Role.OIL),
  ESSENTIAL_OIL("essential oil", Role.ADDITIVE),
  FRAGRANCE("fragrance oil", Role.ADDITIVE),
  PRESERVATIVE("preservative", Role.ADDITIVE),
  POWDER_ADDITIVE("powder additive", Role.ADDITIVE),
  CONDITIONER("conditioner base", Role.LIQUID),
  BREW("a brew from the shelf", Role.LIQUID);

  /** The part a material plays in a pot. */
  public enum Role {
    /** Gives its substance to a liquid and is strained out, or stays as paste. */
    PLANT,
    /** What the plant gives to; mixes with water. */
    LIQUID,
    /** Does not mix with water; also what a plant may be steeped in. */
    OIL,
    /** Small amounts with a limit. */
    ADDITIVE
  }

  private final String words;
  private final Role role;

  MaterialKind(String words, Role role) {
    this.words = words;
    this.role = role;
  }

  /** The words shown to a person. */
  public String words() {
    return words;
  }

  public Role role() {
    return role;
  }

  public boolean isPlant() {
    return role == Role.PLANT;
  }

  /** Raw and wet: it spoils in days, and heat would cook it. */
  public boolean isRaw() {
    return this == JUICE || this == FOOD;
  }

  /** A plant part that still carries its own water. */
  public boolean isFresh() {
    return this == FRESH_LEAF || this == FRESH_PLANT || this == ALOE_LEAF;
  }

  /** Whether it is a liquid, of which drops can be counted. */
  public boolean isCountedInDrops() {
    return !isPlant() && this != POWDER_ADDITIVE;
  }

  /** The figures that a maker may know of a material of this kind, the telling ones first. */
  public List<Property> asked() {
    return switch (this) {
      case WATER, BREW -> List.of();
      case GUM_SEED, GUM_POWDER, SEAWEED ->
          List.of(
              Property.GUM_YIELD,
              Property.GUM_POWER,
              Property.HOLD,
              Property.HOLD_HOT,
              Property.HOLD_SQUEEZED,
              Property.DENSITY);
      case FRESH_LEAF, FRESH_PLANT, ALOE_LEAF ->
          List.of(
              Property.WATER_SHARE,
              Property.HOLD,
              Property.DENSITY,
              Property.PIECE,
              Property.SPRIG,
              Property.OWN_PH);
      case LEAF, FLOWER, ROOT, BARK, BUD, SEED, GRAIN, POWDER ->
          List.of(
              Property.HOLD,
              Property.DENSITY,
              Property.FAST_SHARE,
              Property.SLOW_RATE,
              Property.PIECE,
              Property.OWN_PH);
      case JUICE ->
          List.of(Property.CITRIC_ACID, Property.OWN_PH, Property.WATER_SHARE, Property.DENSITY);
      case FOOD -> List.of(Property.WATER_SHARE, Property.DENSITY, Property.PIECE, Property.OWN_PH);
      case HYDROLAT -> List.of(Property.OWN_PH, Property.DENSITY);
      case ACID -> List.of(Property.ACID, Property.CITRIC_ACID, Property.OWN_PH, Property.DENSITY);
      case SPIRIT -> List.of(Property.ALCOHOL, Property.DENSITY);
      case GLYCERIN, CARRIER_OIL, INFUSED_OIL -> List.of(Property.DENSITY, Property.DROP);
      case CONDITIONER -> List.of(Property.WATER_SHARE, Property.OWN_PH, Property.DENSITY);
      case ESSENTIAL_OIL, FRAGRANCE ->
          List.of(
              Property.LIMIT_LEAVE_ON, Property.LIMIT_RINSE_OFF, Property.DROP, Property.DENSITY);
      case PRESERVATIVE ->
          List.of(
              Property.DOSE,
              Property.WORKING_PH,
              Property.MAX_TEMPERATURE,
              Property.LIMIT_LEAVE_ON,
              Property.LIMIT_RINSE_OFF,
              Property.DENSITY);
      case POWDER_ADDITIVE ->
          List.of(
              Property.DOSE,
              Property.MAX_TEMPERATURE,
              Property.LIMIT_LEAVE_ON,
              Property.LIMIT_RINSE_OFF,
              Property.DENSITY);
    };
  }

  /** Fine enough to pass a sieve and block a nozzle. */
  public boolean isPowder() {
    return this == POWDER || this == GUM_POWDER;
  }
}
