/**
 * How sure all of it is: every figure of a planned or running brew with its range and what moves it
 * most, and what its last day hangs on.
 *
 * <p>Definition: {@link dremsa.core.outlook.Outlook}.
 */
@NullMarked
package dremsa.core.outlook;

import org.jspecify.annotations.NullMarked;
