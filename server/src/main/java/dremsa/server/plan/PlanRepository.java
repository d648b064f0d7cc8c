package dremsa.server.plan;

import java.util.UUID;
import org.springframework.data.jpa.repository.JpaRepository;

interface PlanRepository extends JpaRepository<PlanRow, UUID> {}
