/**
 * What will be due and what was told of it. Capabilities hand in {@link
 * dremsa.server.reminders.Due}; a persistent scheduler turns what is due into messages of the tray,
 * each occasion once, however many instances run.
 */
@NullMarked
package dremsa.server.reminders;

import org.jspecify.annotations.NullMarked;
