/**
 * Amounts for a wanted result: the brew model solved backwards.
 *
 * <p>Definition: a {@link dremsa.core.scale.Target} for a {@link dremsa.core.brew.Brew}. Result: a
 * {@link dremsa.core.scale.Solution}, either {@link dremsa.core.scale.Solution.Reached} with a
 * prediction or {@link dremsa.core.scale.Solution.Unreachable} with the reason and its numbers.
 */
@NullMarked
package dremsa.core.scale;

import org.jspecify.annotations.NullMarked;
