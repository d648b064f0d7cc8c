package dremsa.server.journal;

import java.util.UUID;

/** Somebody said, or took back, how thick a batch was; published within the change. */
public record ThicknessFound(UUID household) {}
