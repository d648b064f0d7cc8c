/**
 * A household whole, in one file: its rows as JSON and its photos in a zip, and back again into an
 * empty household. The form is published at {@code /schemas/backup-1.json}.
 */
package dremsa.server.backup;
