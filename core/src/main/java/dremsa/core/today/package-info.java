/**
 * What is to be done now, over all pots and bottles of a household.
 *
 * <p>Definition: {@link dremsa.core.today.Today}.
 */
@NullMarked
package dremsa.core.today;

import org.jspecify.annotations.NullMarked;
