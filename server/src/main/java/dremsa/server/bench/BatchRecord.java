package dremsa.server.bench;

import dremsa.core.brew.Brew;
import dremsa.core.brew.Prediction;
import dremsa.core.check.Ending;
import dremsa.core.keep.Inherited;
import java.time.Instant;
import java.util.List;
import java.util.UUID;
import org.jspecify.annotations.Nullable;

/**
 * A batch as it really was, as far as keeping needs it.
 *
 * @param wholeId the batch that it is a part of; its own id for a whole one
 * @param inherited the age of the brews that were poured into it
 * @param marks that early and late ends of its steps left on it
 * @param override what was dangerous and brewed on purpose; null where nothing was
 */
public record BatchRecord(
    UUID id,
    UUID wholeId,
    String code,
    String formulaId,
    String formulaName,
    Instant startedAt,
    Brew brew,
    Prediction prediction,
    List<Inherited> inherited,
    List<Ending.Mark> marks,
    @Nullable Deliberate override) {}
