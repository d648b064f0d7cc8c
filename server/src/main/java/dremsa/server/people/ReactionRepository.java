package dremsa.server.people;

import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.springframework.data.jpa.repository.JpaRepository;

interface ReactionRepository extends JpaRepository<ReactionRow, UUID> {
  List<ReactionRow> findByHouseholdIdOrderBySeenAtDescId(UUID household);

  Optional<ReactionRow> findByIdAndHouseholdId(UUID id, UUID household);
}
