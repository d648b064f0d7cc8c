package dremsa.core.plan;

import java.time.LocalDate;

/**
 * A day on which there is time to brew.
 *
 * @param minutes how long
 */
public record Evening(LocalDate day, double minutes) {}
