/** Bottles: where they stand, how long they keep and why, and what was taken from them. */
@NullMarked
package dremsa.server.shelf;

import org.jspecify.annotations.NullMarked;
