package dremsa.server.wire;

import java.util.function.Consumer;
import tools.jackson.databind.node.ObjectNode;

/**
 * Lifts kept JSON from one version of its form to the next, in its place. A form that changes gets
 * one, and {@link Stored#VERSION} goes up by one; a package has those of its own forms as beans,
 * {@link Lifts} has those of this package.
 *
 * @param from the version before the change
 */
public record Lift(Class<?> form, int from, Consumer<ObjectNode> change) {}
