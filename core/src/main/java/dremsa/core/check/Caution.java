package dremsa.core.check;

/** A risk, told where it arises. */
public enum Caution {
  BURNS("Hot water and steam burn. Pour away from you, keep children and pets off."),
  WARM_THE_GLASS(
      "Warm the glass first: boiling water cracks a cold jar. No plastic for hot liquid."),
  BOIL_OVER("Froths up and boils over: leave a third of the pot empty and stay with it."),
  HOT_BLENDER("Blend below 60 °C with the lid vented: hot liquid bursts out."),
  NO_FLAME("Spirit burns: no flame and no hot hob near it."),
  LATEX("The yellow latex of aloe irritates. Drain and soak the leaf first."),
  CLEAN_BOTTLES("Clean hands, clean cloth, sterilised bottles. Never dip fingers into a jar."),
  FINE_STRAIN("Powder left in blocks the nozzle and dusts the scalp: strain a second time, fine."),
  CLOSE_EYES("Close your eyes when you spray."),
  NOT_FOR_DRINKING("For hair, not for drinking. Keep it out of reach of children."),
  PATCH_TEST(
      "New to you? Try a little on the inner arm for 48 hours first. Sores, hair loss or a reaction"
          + " that lasts: see a doctor."),
  OIL_HEAT("Never heat oil on direct high heat."),
  NEVER_UNDILUTED("Essential oils never undiluted, never near the eyes.");

  private final String words;

  Caution(String words) {
    this.words = words;
  }

  /** One or two sentences for the maker. */
  public String words() {
    return words;
  }
}
