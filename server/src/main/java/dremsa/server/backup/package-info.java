/**
 * A household whole, in one file: its rows as lines of JSON and its photos in a zip, and back again
 * into an empty household. Each package says itself what it keeps ({@link
 * dremsa.server.backup.KeptTables}) and what its values look like; the form made from that is
 * published at {@code /schemas/backup-2.json}.
 *
 * <p>Writing: {@code Backup} reads a household in one transaction into a file on this machine's
 * disk ({@code Spool}), which is sent when it is whole. Reading: {@code Archive} goes through a
 * file under {@code Limits}, for {@code Inspection} first, which writes nothing, then for {@code
 * Filling}, which checks every value; {@code Restore} leads it and has all of it opened before it
 * counts.
 */
@NullMarked
package dremsa.server.backup;

import org.jspecify.annotations.NullMarked;
