package dremsa.server.learning;

import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.springframework.data.jpa.repository.JpaRepository;

interface LengthRepository extends JpaRepository<LengthRow, UUID> {
  List<LengthRow> findByHouseholdIdAndPersonIdOrderByDay(UUID household, UUID person);

  List<LengthRow> findByHouseholdIdOrderByDay(UUID household);

  Optional<LengthRow> findByIdAndHouseholdId(UUID id, UUID household);

  long countByHouseholdIdAndPersonId(UUID household, UUID person);
}
