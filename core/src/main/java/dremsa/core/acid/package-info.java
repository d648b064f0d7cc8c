/**
 * How sour a liquid is: weak acids and their salts, the water's own alkalinity, and the balance of
 * charges that gives the pH.
 *
 * <p>Definition: {@link dremsa.core.acid.Sourness}, three mixtures of which one is what is believed
 * and two are the ends; {@link dremsa.core.acid.ChargeBalance} finds the pH of one.
 */
@NullMarked
package dremsa.core.acid;

import org.jspecify.annotations.NullMarked;
