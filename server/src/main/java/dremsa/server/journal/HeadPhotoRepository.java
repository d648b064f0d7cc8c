package dremsa.server.journal;

import java.time.LocalDate;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.springframework.data.jpa.repository.JpaRepository;
import org.springframework.data.jpa.repository.Query;

interface HeadPhotoRepository extends JpaRepository<HeadPhoto, UUID> {
  /** What is told of a photo without its picture. */
  record Line(UUID id, UUID person, LocalDate day, String caption) {}

  @Query(
      "select new dremsa.server.journal.HeadPhotoRepository$Line(p.id, p.personId, p.day, p.caption)"
          + " from HeadPhoto p where p.householdId = :household and p.day between :from and :to"
          + " order by p.takenAt")
  List<Line> lines(UUID household, LocalDate from, LocalDate to);

  Optional<HeadPhoto> findByIdAndHouseholdId(UUID id, UUID household);

  long countByHouseholdIdAndPersonIdAndDay(UUID household, UUID person, LocalDate day);
}
