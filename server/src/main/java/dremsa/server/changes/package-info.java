/**
 * Tells open pages that something in their household changed. Only a revision number travels; the
 * page then asks again for what it shows.
 */
@NullMarked
package dremsa.server.changes;

import org.jspecify.annotations.NullMarked;
