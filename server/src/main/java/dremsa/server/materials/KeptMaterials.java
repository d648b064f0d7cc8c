package dremsa.server.materials;

import dremsa.core.material.Materials;
import dremsa.server.backup.Column;
import dremsa.server.backup.KeptTable;
import dremsa.server.backup.KeptTables;
import dremsa.server.wire.MaterialJson;
import dremsa.server.wire.Stored;
import java.time.Instant;
import java.util.List;
import java.util.UUID;
import org.springframework.stereotype.Component;

/** A household's own materials in a backup. */
@Component
class KeptMaterials implements KeptTables {
  private final HouseholdMaterials materials;
  private final Stored stored;

  KeptMaterials(HouseholdMaterials materials, Stored stored) {
    this.materials = materials;
    this.stored = stored;
  }

  @Override
  public List<KeptTable> tables() {
    return List.of(
        KeptTable.of(
                "household_material",
                "material_id",
                Column.material("material_id"),
                Column.json(
                    "content",
                    text ->
                        Materials.standard()
                            .overlaid(stored.checked(text, MaterialJson.class).toCore(""))),
                Column.schema(),
                Column.version())
            .atMost(HouseholdMaterials.MOST));
  }

  @Override
  public void open(UUID household, Instant now) {
    materials.of(household);
    materials.own(household);
  }
}
