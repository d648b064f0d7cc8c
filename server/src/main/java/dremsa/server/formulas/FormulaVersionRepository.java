package dremsa.server.formulas;

import java.util.List;
import java.util.Optional;
import org.springframework.data.jpa.repository.JpaRepository;

interface FormulaVersionRepository extends JpaRepository<FormulaVersionRow, FormulaVersionRow.Key> {
  List<FormulaVersionRow> findByKeyFormulaIdOrderByKeyNumberDesc(String formula);

  Optional<FormulaVersionRow> findFirstByKeyFormulaIdOrderByKeyNumberDesc(String formula);
}
