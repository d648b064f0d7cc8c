package dremsa.server.reminders;

import java.util.UUID;

/** A message came into a tray; published within the change that writes it. */
public record MessageWritten(
    UUID household, String occasion, Due.Kind kind, String title, String words, String link) {}
