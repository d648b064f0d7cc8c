package dremsa.server.kitchens;

import java.util.UUID;
import org.springframework.data.jpa.repository.JpaRepository;

interface KitchenRepository extends JpaRepository<KitchenRow, UUID> {}
