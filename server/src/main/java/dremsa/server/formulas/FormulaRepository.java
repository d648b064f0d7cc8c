package dremsa.server.formulas;

import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.springframework.data.jpa.repository.JpaRepository;

interface FormulaRepository extends JpaRepository<FormulaRow, String> {
  List<FormulaRow> findByHouseholdIdAndGoneAtIsNullOrderByChangedAtDesc(UUID household);

  Optional<FormulaRow> findByIdAndHouseholdId(String id, UUID household);

  long countByHouseholdIdAndGoneAtIsNull(UUID household);
}
