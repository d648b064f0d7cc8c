/**
 * The JSON forms of core's types, for HTTP and for the JSON columns of the database alike, and the
 * mapping between the two. Core's own types never leave the server unmapped.
 */
package dremsa.server.wire;
