package dremsa.server.people;

import java.time.Instant;
import java.util.UUID;

/** Something of a household's people, their routines or what they bear is otherwise now. */
public record PeopleChanged(UUID household, Instant at) {}
