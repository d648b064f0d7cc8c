/**
 * The JSON forms of core's types, for HTTP and for the JSON columns of the database alike, and the
 * mapping between the two. Core's own types never leave the server unmapped.
 */
@NullMarked
package dremsa.server.wire;

import org.jspecify.annotations.NullMarked;
