package dremsa.server.shelf;

import dremsa.core.brew.Contents;
import dremsa.core.formula.Purpose;
import java.time.Instant;
import java.util.Optional;
import java.util.UUID;

/**
 * Some of a bottle was used on a head. Told within the change that records it; who listens writes
 * in the same transaction or refuses it. Uses that a table of old days tells are kept, but not
 * told.
 *
 * @param use its mark, which {@link UseTakenBack} names again
 * @param contents what was in what was used
 * @param millilitres of it, above 0
 * @param who used it, as far as anybody said
 * @param person whose head it was, as far as anybody said
 * @param purpose what for, as far as anybody said
 */
public record Used(
    UUID household,
    UUID use,
    UUID bottle,
    Contents contents,
    double millilitres,
    Instant at,
    Optional<String> who,
    Optional<UUID> person,
    Optional<Purpose> purpose) {}
