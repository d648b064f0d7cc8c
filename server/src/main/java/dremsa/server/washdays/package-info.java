/** Wash days: when they are, what is used on whose head, what was done, and the weeks to come. */
@NullMarked
package dremsa.server.washdays;

import org.jspecify.annotations.NullMarked;
