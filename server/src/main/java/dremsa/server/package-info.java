/** The server: HTTP, persistence, accounts and live runs around the core. */
@NullMarked
package dremsa.server;

import org.jspecify.annotations.NullMarked;
