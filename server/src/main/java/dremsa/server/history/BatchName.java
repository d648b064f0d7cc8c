package dremsa.server.history;

import jakarta.persistence.Entity;
import jakarta.persistence.Id;
import java.util.UUID;
import org.hibernate.annotations.Immutable;

/** What the bench shows of a batch: the names that a reader knows it by. */
@Entity
@Immutable
class BatchName {
  @Id private UUID id;
  private String code;
  private String formulaName;

  protected BatchName() {}
}
