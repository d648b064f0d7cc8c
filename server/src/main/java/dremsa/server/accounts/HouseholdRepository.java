package dremsa.server.accounts;

import java.util.Optional;
import java.util.UUID;
import org.springframework.data.jpa.repository.JpaRepository;

interface HouseholdRepository extends JpaRepository<Household, UUID> {
  Optional<Household> findFirstByDemoTrue();

  boolean existsByDemoFalse();
}
