/**
 * Whose hair, where in the wash day, how much, how long, and how often.
 *
 * <p>Definitions: {@link dremsa.core.people.Person} with a {@link dremsa.core.people.Routine}, and
 * the {@link dremsa.core.people.Product}s that stand ready. Results: {@link dremsa.core.people.Due}
 * occasions, the {@link dremsa.core.people.Sheet} of a wash day, what a {@link
 * dremsa.core.people.Limit} says. What was used before is an argument; nothing is looked up.
 */
@NullMarked
package dremsa.core.people;

import org.jspecify.annotations.NullMarked;
