package dremsa.server.stores;

import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.springframework.data.jpa.repository.JpaRepository;

interface LotHappeningRepository extends JpaRepository<LotHappening, Long> {
  List<LotHappening> findFirst50ByLotIdOrderByIdDesc(UUID lot);

  Optional<LotHappening> findFirstByLotIdAndUndoneFalseOrderByIdDesc(UUID lot);
}
