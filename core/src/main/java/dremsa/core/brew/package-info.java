/**
 * The brew model: what happens to a formula in a kitchen.
 *
 * <p>Definition: a {@link dremsa.core.formula.Formula} with a kitchen and materials, resolved to a
 * {@link dremsa.core.brew.Brew}. Result: a {@link dremsa.core.brew.Prediction} with its trace and
 * water account. What really happened goes in as {@link dremsa.core.brew.Facts} in place of what
 * was planned; the rest is then predicted from there. No clock, no I/O; the same input gives the
 * same output to the last bit.
 */
@NullMarked
package dremsa.core.brew;

import org.jspecify.annotations.NullMarked;
