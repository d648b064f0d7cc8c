package dremsa.core.plan;

import java.time.LocalDate;

/**
 * A brew that was agreed on, or that is tried out.
 *
 * @param pinned it stays whatever happens
 */
public record Agreed(LocalDate day, String formula, double millilitres, boolean pinned) {}
