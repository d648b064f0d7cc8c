/**
 * Live runs: a batch goes through its steps, and the times are the server's. What happened is kept;
 * what is still to come is predicted again from it.
 */
@NullMarked
package dremsa.server.bench;

import org.jspecify.annotations.NullMarked;
