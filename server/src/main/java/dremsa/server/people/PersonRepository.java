package dremsa.server.people;

import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.springframework.data.jpa.repository.JpaRepository;

interface PersonRepository extends JpaRepository<PersonRow, UUID> {
  List<PersonRow> findByHouseholdIdOrderByMadeAtAscNameAsc(UUID household);

  Optional<PersonRow> findByIdAndHouseholdId(UUID id, UUID household);

  long countByHouseholdId(UUID household);
}
