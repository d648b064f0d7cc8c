/**
 * How long a brew keeps, and why.
 *
 * <p>Definition: a finished {@link dremsa.core.brew.Prediction} with the moment it began, where it
 * stands, the school and what happened to it ({@link dremsa.core.keep.KeepEvent}). Result: a {@link
 * dremsa.core.keep.Verdict} whose reasons are data. Two clocks run, the life budget and the cap;
 * the earlier one binds and is named.
 */
@NullMarked
package dremsa.core.keep;

import org.jspecify.annotations.NullMarked;
