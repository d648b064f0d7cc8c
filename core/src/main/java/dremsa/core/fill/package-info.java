/** Which containers a brew goes into: what suits it, how full, how many, and what is to be done. */
@NullMarked
package dremsa.core.fill;

import org.jspecify.annotations.NullMarked;
