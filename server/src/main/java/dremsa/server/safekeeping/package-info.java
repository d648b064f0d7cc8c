/** Backups by themselves: every night, verified, a week of days and a month of weeks. */
@NullMarked
package dremsa.server.safekeeping;

import org.jspecify.annotations.NullMarked;
