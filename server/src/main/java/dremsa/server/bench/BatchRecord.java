package dremsa.server.bench;

import dremsa.core.brew.Brew;
import dremsa.core.brew.Prediction;
import dremsa.core.keep.Inherited;
import java.time.Instant;
import java.util.List;
import java.util.UUID;

/**
 * A batch as it really was, as far as keeping needs it.
 *
 * @param wholeId the batch that it is a part of; its own id for a whole one
 * @param inherited the age of the brews that were poured into it
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
    List<Inherited> inherited) {}
