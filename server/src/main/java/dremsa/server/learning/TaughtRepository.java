package dremsa.server.learning;

import java.util.List;
import java.util.UUID;
import org.springframework.data.jpa.repository.JpaRepository;
import org.springframework.data.jpa.repository.Modifying;

interface TaughtRepository extends JpaRepository<TaughtRow, UUID> {
  List<TaughtRow> findByHouseholdIdOrderByKnob(UUID household);

  @Modifying
  void deleteByHouseholdId(UUID household);
}
