package dremsa.server.wire;

import jakarta.validation.constraints.NotNull;
import org.hibernate.validator.constraints.Range;

/** One step planned otherwise than usual. */
public record PlannedStep(
    @NotNull(message = "Say which step.")
        @Range(min = 0, max = 59, message = "There is no such step.")
        Integer index,
    @NotNull(message = "Say how long.")
        @Range(min = 0, max = 527_040, message = "A step takes 0 minutes to a year.")
        Double minutes) {}
