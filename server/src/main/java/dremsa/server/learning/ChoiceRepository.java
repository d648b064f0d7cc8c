package dremsa.server.learning;

import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.springframework.data.jpa.repository.JpaRepository;

interface ChoiceRepository extends JpaRepository<ChoiceRow, UUID> {
  List<ChoiceRow> findByHouseholdId(UUID household);

  Optional<ChoiceRow> findByHouseholdIdAndKnob(UUID household, String knob);

  Optional<ChoiceRow> findByHouseholdIdAndBatchId(UUID household, UUID batch);
}
