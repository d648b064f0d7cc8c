/**
 * What may hurt or spoil: cautions at the steps where the risk arises.
 *
 * <p>Definition: a {@link dremsa.core.formula.Step} of a resolved {@link dremsa.core.brew.Brew}.
 * Result: {@link dremsa.core.check.Caution}s. No medical advice; local rules on selling cosmetics
 * are the maker's to follow.
 */
@NullMarked
package dremsa.core.check;

import org.jspecify.annotations.NullMarked;
