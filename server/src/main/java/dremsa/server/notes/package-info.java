/** Notes in plain words: read, brewed from, written; and the household's own words. */
@NullMarked
package dremsa.server.notes;

import org.jspecify.annotations.NullMarked;
