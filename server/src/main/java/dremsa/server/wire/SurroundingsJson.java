package dremsa.server.wire;

import dremsa.core.brew.Brew;
import dremsa.core.brew.Stock;
import dremsa.core.keep.Inherited;
import dremsa.core.keep.KeepingClass;
import dremsa.core.material.Material;
import dremsa.core.material.Materials;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import org.jspecify.annotations.Nullable;

/**
 * What a batch was measured out with, kept with it: its materials as they were known then, and the
 * brews that were poured into it with their age.
 */
public record SurroundingsJson(List<MaterialJson> materials, List<PouredJson> poured) {

  /**
   * A brew poured in.
   *
   * @param material as the formula names it
   * @param bottle of the shelf; null for one still to be made
   * @param age what it brought along; null for one still to be made
   */
  public record PouredJson(
      String material,
      @Nullable UUID bottle,
      String name,
      String tint,
      ContentsJson contents,
      @Nullable Double leftMl,
      @Nullable AgeJson age) {}

  /**
   * The age of a brew at the moment it was poured.
   *
   * @param frozen whether it ever was; null in an old row, where it was not
   */
  public record AgeJson(
      KeepingClass keepingClass,
      double spentShare,
      Instant strained,
      Instant runsOut,
      @Nullable Boolean frozen) {
    public static AgeJson of(Inherited inherited) {
      return new AgeJson(
          inherited.keepingClass(),
          inherited.spentShare(),
          inherited.strained(),
          inherited.runsOut(),
          inherited.frozen());
    }

    /** What a brew of this age brings along. */
    public Inherited toCore(String name, ContentsJson contents) {
      return new Inherited(
          name,
          contents.toCore(),
          keepingClass,
          spentShare,
          strained,
          runsOut,
          Boolean.TRUE.equals(frozen));
    }
  }

  /**
   * The surroundings of a brew.
   *
   * @param ages of brews that stand on the shelf, by the material that names them
   * @param bottles the same, where they stand
   */
  public static SurroundingsJson of(
      Brew brew, Map<String, Inherited> ages, Map<String, UUID> bottles) {
    List<MaterialJson> materials = new ArrayList<>();
    List<PouredJson> poured = new ArrayList<>();
    for (int i = 0; i < brew.materials().size(); i++) {
      Material material = brew.materials().get(i);
      brew.poured(i)
          .ifPresentOrElse(
              p ->
                  poured.add(
                      poured(
                          p, material.id(), ages.get(material.id()), bottles.get(material.id()))),
              () -> materials.add(MaterialJson.of(material, false)));
    }
    return new SurroundingsJson(materials, poured);
  }

  private static PouredJson poured(
      Stock.Poured poured, String material, @Nullable Inherited age, @Nullable UUID bottle) {
    return new PouredJson(
        material,
        bottle,
        poured.name(),
        poured.tint(),
        ContentsJson.of(poured.contents()),
        Double.isInfinite(poured.leftMl()) ? null : poured.leftMl(),
        age == null ? null : AgeJson.of(age));
  }

  /** The catalogue with these materials over it. */
  public Materials materialsToCore() {
    Materials all = Materials.standard();
    for (MaterialJson material : materials) {
      all = all.with(material.toCore(""));
    }
    return all;
  }

  /** The bottles of the shelf behind the brews poured in, by the material that names them. */
  public Map<String, UUID> bottles() {
    Map<String, UUID> bottles = new java.util.LinkedHashMap<>();
    poured.stream()
        .filter(p -> p.bottle() != null)
        .forEach(p -> bottles.put(p.material(), p.bottle()));
    return bottles;
  }

  public Stock stock() {
    Stock stock = Stock.NONE;
    for (PouredJson p : poured) {
      stock =
          stock.with(
              p.material(),
              new Stock.Poured(
                  p.name(),
                  p.tint(),
                  p.contents().toCore(),
                  p.leftMl() == null ? Double.POSITIVE_INFINITY : p.leftMl()));
    }
    return stock;
  }

  /** The ages of the brews poured in, each for its contents as kept here. */
  public Map<String, Inherited> ages() {
    Map<String, Inherited> ages = new java.util.LinkedHashMap<>();
    for (PouredJson p : poured) {
      if (p.age() != null) {
        ages.put(p.material(), p.age().toCore(p.name(), p.contents()));
      }
    }
    return ages;
  }
}
