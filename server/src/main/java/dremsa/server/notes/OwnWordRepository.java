package dremsa.server.notes;

import java.util.List;
import java.util.UUID;
import org.springframework.data.jpa.repository.JpaRepository;

interface OwnWordRepository extends JpaRepository<OwnWord, OwnWord.Key> {
  List<OwnWord> findByKeyHouseholdIdOrderByKeyWord(UUID household);

  long countByKeyHouseholdId(UUID household);
}
