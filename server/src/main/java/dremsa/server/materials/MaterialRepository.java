package dremsa.server.materials;

import java.util.List;
import java.util.UUID;
import org.springframework.data.repository.CrudRepository;

interface MaterialRepository extends CrudRepository<MaterialRow, MaterialRow.Key> {
  List<MaterialRow> findByKeyHouseholdIdOrderByKeyMaterialId(UUID household);

  long countByKeyHouseholdId(UUID household);
}
