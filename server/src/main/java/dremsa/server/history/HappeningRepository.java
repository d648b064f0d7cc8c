package dremsa.server.history;

import java.util.Collection;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.springframework.data.domain.Pageable;
import org.springframework.data.jpa.repository.JpaRepository;
import org.springframework.data.jpa.repository.Modifying;
import org.springframework.data.jpa.repository.Query;

interface HappeningRepository extends JpaRepository<Happening, Long> {
  Optional<Happening> findFirstByHouseholdIdAndBottleIdAndUndoneFalseAndKindNotInOrderByIdDesc(
      UUID household, UUID bottle, Collection<Happening.Kind> kinds);

  List<Happening> findByHouseholdIdAndBatchIdOrderById(UUID household, UUID batch);

  List<Happening> findByHouseholdIdAndChangeIdOrderById(UUID household, UUID change);

  List<Happening> findByHouseholdIdAndBottleIdOrderByHappenedAtDescIdDesc(
      UUID household, UUID bottle, Pageable page);

  List<Happening> findByHouseholdIdAndBatchIdOrderByHappenedAtDescIdDesc(
      UUID household, UUID batch, Pageable page);

  @Modifying(flushAutomatically = true)
  @Query(
      """
      update Happening h set h.bottleId = null
      where h.householdId = :household and h.batchId = :batch and h.bottleId is not null
      """)
  void forgetBottles(UUID household, UUID batch);

  @Modifying(flushAutomatically = true)
  @Query(
      """
      update Happening h set h.doneBy = null
      where h.householdId = :household and h.doneBy = :called
      """)
  void forgetName(UUID household, String called);

  /** A page of the whole record, with the names that a reader knows things by. */
  @Query(
      """
      select h.id as id, h.happenedAt as happenedAt, h.kind as kind, h.millilitres as millilitres,
             h.detail as detail, h.undone as undone, h.doneBy as doneBy, h.batchId as batchId, h.bottleId as bottleId,
             b.code as code, b.formulaName as name
      from Happening h join BatchName b on b.id = h.batchId
      where h.householdId = :household
      order by h.happenedAt desc, h.id desc
      """)
  List<Line> page(UUID household, Pageable page);

  /** A happening with its batch's code and name. */
  interface Line {
    Long getId();

    java.time.Instant getHappenedAt();

    Happening.Kind getKind();

    @Nullable Double getMillilitres();

    String getDetail();

    boolean getUndone();

    @Nullable String getDoneBy();

    UUID getBatchId();

    @Nullable UUID getBottleId();

    String getCode();

    String getName();
  }
}
