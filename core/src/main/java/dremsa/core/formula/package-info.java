/**
 * What a maker wants to brew: ingredients with proportions and an ordered list of typed steps, each
 * with its window and its cue.
 *
 * <p>Definition: {@link dremsa.core.formula.Formula}, whose {@link dremsa.core.formula.Step}s are a
 * closed family. Resolved with a kitchen and materials by {@code dremsa.core.brew}. Uses the
 * kitchen's vocabulary (kinds of vessel, strainer and container), never a kitchen.
 */
@NullMarked
package dremsa.core.formula;

import org.jspecify.annotations.NullMarked;
