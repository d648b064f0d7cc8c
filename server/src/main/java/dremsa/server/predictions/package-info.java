/**
 * Asks core how a brew would go. Keeps nothing. Every screen that shows a figure of a brew asks
 * here.
 */
@NullMarked
package dremsa.server.predictions;

import org.jspecify.annotations.NullMarked;
