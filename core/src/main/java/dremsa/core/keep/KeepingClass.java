package dremsa.core.keep;

import dremsa.core.keep.KeepingTimes.Line;
import dremsa.core.measure.Figure;
import java.util.Optional;

/**
 * What a brew counts as when it is kept. How long each keeps by each school stands in the table
 * {@code classes.csv} with its sources.
 */
public enum KeepingClass {
  RAW_JUICE("raw juice, or a blend with it"),
  FRESH_INFUSION("hot infusion with fresh plant in it"),
  GEL("unpreserved gel of seed, root, leaf, bark or seaweed"),
  INFUSION("unpreserved infusion, decoction or soak"),
  FERMENT("fermented starch water"),
  STARCH_HEATED("starch water heated with herbs"),
  STARCH("starch water or grain cream"),
  PASTE("paste mixed with water or brew"),
  CONDITIONER("shop conditioner with home gel or brew"),
  PRESERVED("water-based, preservative working"),
  /** Twice what juice and starch live on without one, the shorter of them; our rule. */
  PRESERVED_RICH("juice, starch or ferment, preservative working"),
  /** So little free water that nothing grows: 21 CFR 114.3. */
  GLYCERIN("glycerin brew, hardly any free water"),
  VINEGAR("herb vinegar, 4 % acid or more"),
  SPIRIT("20 % vol alcohol or more"),
  OIL("oil and dried plant, no water"),
  OIL_WET("oil with fresh or wet plant");

  private final String words;

  KeepingClass(String words) {
    this.words = words;
  }

  public String words() {
    return words;
  }

  /** Life at 5 °C, days; empty when only the cap counts; 0 for "use now". */
  public Optional<Figure> budget(School school) {
    return KeepingTimes.days(this, Line.BUDGET, school);
  }

  /** No date later than this after straining, days. */
  public Figure cap(School school) {
    return KeepingTimes.days(this, Line.CAP, school).orElseThrow();
  }

  /** The published beyond-use figure, days after straining, where there is one. */
  public Optional<Figure> published(School school) {
    return KeepingTimes.days(this, Line.PUBLISHED, school);
  }

  /** How long it may stand at room temperature, days; empty when that does not matter. */
  public Optional<Figure> room(School school) {
    return KeepingTimes.days(this, Line.ROOM, school);
  }

  /** How long it may stay frozen, days. */
  public Figure freezer(School school) {
    return KeepingTimes.days(this, Line.FREEZER, school).orElseThrow();
  }

  /** Life at 5 °C, h; infinite when only the cap counts; 0 for "use now". */
  double budgetHours(School school) {
    return KeepingTimes.hours(this, Line.BUDGET, school);
  }

  double capHours(School school) {
    return KeepingTimes.hours(this, Line.CAP, school);
  }

  /** The published beyond-use figure, h after straining; 0 when there is none to go by. */
  double publishedHours(School school) {
    double hours = KeepingTimes.hours(this, Line.PUBLISHED, school);
    return Double.isInfinite(hours) ? 0 : hours;
  }

  /** How long it may stand at room temperature, h; 0 means use at once. */
  double roomHours(School school) {
    return KeepingTimes.hours(this, Line.ROOM, school);
  }

  double freezerHours(School school) {
    return KeepingTimes.hours(this, Line.FREEZER, school);
  }

  /** Whether it has a life budget that warmth spends; by any school, or by none. */
  public boolean perishable() {
    return !Double.isInfinite(budgetHours(School.CAREFUL));
  }

  /** The one of the two that keeps shorter by a school: by its life, then by its cap. */
  public KeepingClass worse(KeepingClass other, School school) {
    int byLife = Double.compare(budgetHours(school), other.budgetHours(school));
    int byBoth = byLife != 0 ? byLife : Double.compare(capHours(school), other.capHours(school));
    return byBoth <= 0 ? this : other;
  }
}
