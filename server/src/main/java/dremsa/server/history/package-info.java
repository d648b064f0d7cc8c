/** What happened, to batches and bottles alike, in the order in which it happened. */
@NullMarked
package dremsa.server.history;

import org.jspecify.annotations.NullMarked;
