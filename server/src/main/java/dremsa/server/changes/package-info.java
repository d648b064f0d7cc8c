/**
 * Tells open pages that something in their household changed. Only a revision number travels; the
 * page then asks again for what it shows.
 */
package dremsa.server.changes;
