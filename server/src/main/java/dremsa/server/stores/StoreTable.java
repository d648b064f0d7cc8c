package dremsa.server.stores;

import dremsa.core.material.Materials;
import dremsa.server.materials.HouseholdMaterials;
import dremsa.server.tables.HouseholdTable;
import dremsa.server.tables.Row;
import java.time.Instant;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.UUID;
import org.springframework.stereotype.Component;

/** Lots of the stores. */
@Component
class StoreTable implements HouseholdTable {
  private static final String QUERY =
      """
      select material_id as material, origin, grams, left_grams, got_on, opened_on, price, place,
        note, ended_at as ended
      from lot where household_id = ? order by got_on, material_id
      """;

  private static final double MOST_GRAMS = 100_000;

  private final Stores stores;
  private final LotRepository lots;
  private final HouseholdMaterials materials;

  StoreTable(Stores stores, LotRepository lots, HouseholdMaterials materials) {
    this.stores = stores;
    this.lots = lots;
    this.materials = materials;
  }

  @Override
  public String name() {
    return "stores";
  }

  @Override
  public List<String> columns() {
    return List.of(
        "material",
        "origin",
        "grams",
        "left_grams",
        "got_on",
        "opened_on",
        "price",
        "place",
        "note",
        "ended");
  }

  @Override
  public String query() {
    return QUERY;
  }

  @Override
  public Taking begin(UUID household, Instant now) {
    Materials known = materials.of(household);
    List<Lot> there = new ArrayList<>(lots.findByHouseholdId(household));
    return row -> take(household, known, there, row, now);
  }

  private Taken take(UUID household, Materials known, List<Lot> there, Row row, Instant now) {
    String material = row.needed("material", 80);
    if (known.find(material).isEmpty()) {
      throw new Row.WrongException("material", "There is no material '" + material + "'.");
    }
    double grams = row.neededNumber("grams", 0.01, MOST_GRAMS);
    Double left = row.number("left_grams", 0, grams);
    LocalDate gotOn = row.day("got_on");
    if (gotOn == null) {
      throw new Row.WrongException("got_on", "This is missing.");
    }
    Lot.Told told =
        new Lot.Told(
            gotOn,
            row.day("opened_on"),
            row.number("price", 0, 1e6),
            row.text("place", 80),
            row.text("note", 300));
    if (HouseholdTable.meet(
            there,
            lot ->
                lot.materialId().equals(material)
                    && lot.grams() == grams
                    && lot.gotOn().equals(gotOn)
                    && lot.note().equals(told.note()))
        .isPresent()) {
      return Taken.THERE;
    }
    stores.take(
        household,
        new Lot(
            UUID.randomUUID(),
            household,
            material,
            row.choice("origin", Lot.Origin.class, Lot.Origin.BOUGHT),
            grams,
            null,
            told),
        left == null ? grams : left,
        row.moment("ended"),
        now);
    return Taken.NEW;
  }
}
