package dremsa.core.kitchen;

import java.util.Objects;

/**
 * A pot, bowl or jar, taken as a cylinder.
 *
 * @param id stable within its kitchen
 * @param name as the household calls it
 * @param kind what it is
 * @param diameterCm inside, 3 to 60 cm
 * @param capacityMl to the brim, 20 to 50 000 mL
 * @param lid whether it has one
 */
public record Vessel(
    String id, String name, VesselKind kind, double diameterCm, double capacityMl, boolean lid) {
  public Vessel {
    Objects.requireNonNull(id, "id");
    Objects.requireNonNull(name, "name");
    Objects.requireNonNull(kind, "kind");
    if (!(diameterCm >= 3 && diameterCm <= 60)) {
      throw new IllegalArgumentException("a vessel is 3 to 60 cm wide, not " + diameterCm);
    }
    if (!(capacityMl >= 20 && capacityMl <= 50_000)) {
      throw new IllegalArgumentException("a vessel holds 20 to 50000 mL, not " + capacityMl);
    }
  }

  /** Area of the open top, m². */
  public double topArea() {
    double r = diameterCm / 200;
    return Math.PI * r * r;
  }

  /**
   * Area through which a filling loses heat: wetted side, bottom and top, m².
   *
   * @param millilitres of the filling
   */
  public double wettedArea(double millilitres) {
    double height = millilitres * 1e-6 / topArea();
    return 2 * topArea() + Math.PI * diameterCm / 100 * height;
  }
}
