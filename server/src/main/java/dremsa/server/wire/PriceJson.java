package dremsa.server.wire;

import jakarta.validation.Valid;
import jakarta.validation.constraints.NotNull;
import org.hibernate.validator.constraints.Range;

/**
 * A price.
 *
 * @param money in the household's currency
 * @param amount for so much
 */
public record PriceJson(
    @NotNull(message = "Say how much money.")
        @Range(min = 0, max = 1_000_000, message = "A price is 0 to 1000000.")
        Double money,
    @NotNull(message = "Say for how much.") @Valid AmountJson amount) {}
