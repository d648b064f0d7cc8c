package dremsa.server.people;

import java.time.Instant;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.springframework.data.domain.Pageable;
import org.springframework.data.jpa.repository.JpaRepository;
import org.springframework.data.jpa.repository.Modifying;
import org.springframework.data.jpa.repository.Query;

interface HeadUseRepository extends JpaRepository<HeadUseRow, Long> {
  List<HeadUseRow> findByHouseholdIdAndUndoneFalseAndUsedAtAfterOrderByUsedAtDescIdDesc(
      UUID household, Instant since);

  List<HeadUseRow> findByHouseholdIdAndPersonIdOrderByUsedAtDescIdDesc(
      UUID household, UUID person, Pageable page);

  List<HeadUseRow> findByHouseholdIdAndUndoneFalseAndUsedAtBetweenOrderByUsedAtDescIdDesc(
      UUID household, Instant from, Instant to);

  List<HeadUseRow> findFirst100ByHouseholdIdAndUndoneFalseAndNameContainingOrderByUsedAtDesc(
      UUID household, String words);

  List<HeadUseRow> findByHouseholdIdAndWashDayIdAndUndoneFalse(UUID household, UUID washDay);

  @Modifying(flushAutomatically = true, clearAutomatically = true)
  @Query(
      "update HeadUseRow u set u.washDayId = null where u.householdId = :household and u.washDayId = :washDay")
  void forgetWashDay(UUID household, UUID washDay);

  Optional<HeadUseRow> findByHouseholdIdAndUseMark(UUID household, UUID mark);
}
