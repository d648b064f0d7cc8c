/**
 * The surroundings of a brew: hobs, vessels, strainers, scoops and climate, and the named
 * parameters of the model with their ranges.
 *
 * <p>Definition: {@link dremsa.core.kitchen.Kitchen}. Every number of the model that is neither a
 * law of nature nor a material's own stands in {@link dremsa.core.kitchen.Parameter}.
 */
@NullMarked
package dremsa.core.kitchen;

import org.jspecify.annotations.NullMarked;
