package dremsa.server.backup;

import java.util.List;

/** The tables of a household, in the order in which they can be filled. */
final class Tables {
  private static final String OF_HOUSEHOLD = "household_id = ?";
  private static final String OF_BATCH =
      "batch_id in (select id from batch where household_id = ?)";
  private static final String OF_FORMULA =
      "formula_id in (select id from formula where household_id = ?)";

  private Tables() {}

  /**
   * A table.
   *
   * @param which its rows of one household
   * @param order that does not depend on ids made by chance, so that the same household gives the
   *     same file
   * @param counted whether its id is a running number, which is given anew
   */
  record Table(String name, String which, String order, boolean counted) {
    String select() {
      return "select * from " + name + " where " + which + " order by " + order;
    }
  }

  static final List<Table> ALL =
      List.of(
          new Table("kitchen", OF_HOUSEHOLD, "household_id", false),
          new Table("household_material", OF_HOUSEHOLD, "material_id", false),
          new Table("formula", OF_HOUSEHOLD, "changed_at, content", false),
          new Table("formula_version", OF_FORMULA, "kept_at, number", false),
          new Table("lot", OF_HOUSEHOLD, "got_on, material_id, grams, left_grams", false),
          new Table("store_minimum", OF_HOUSEHOLD, "material_id", false),
          new Table("shopping_item", OF_HOUSEHOLD, "words", false),
          // A part of a divided batch stands after the whole.
          new Table("batch", OF_HOUSEHOLD, "parent_id is not null, started_at, code", false),
          new Table("batch_step", OF_BATCH, "started_at, step_index, note", false),
          new Table("container_set", OF_HOUSEHOLD, "kind, size_ml", false),
          new Table("leftover", OF_HOUSEHOLD, "strained_at, name", false),
          new Table("batch_tap", OF_BATCH, "id", true),
          new Table("batch_entry", OF_HOUSEHOLD, "id", true),
          new Table("batch_photo", OF_HOUSEHOLD, "taken_at, caption", false),
          new Table("bottle", OF_HOUSEHOLD, "filled_at, code, number", false),
          new Table("bottle_event", OF_HOUSEHOLD, "id", true),
          new Table("fridge_event", OF_HOUSEHOLD, "made_at, words", false),
          new Table("lot_happening", OF_HOUSEHOLD, "id", true),
          new Table("happening", OF_HOUSEHOLD, "id", true));
}
