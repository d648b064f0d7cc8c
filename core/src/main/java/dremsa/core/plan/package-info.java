/**
 * How much to brew, and when. A {@link dremsa.core.plan.Situation} (who needs what on which day,
 * what stands, what can be brewed, which evenings are free) becomes a {@link
 * dremsa.core.plan.BrewPlan} that says what each brew is for, who goes without and what is thrown
 * away. {@link dremsa.core.plan.LotSizing} is exact for one formula; {@link
 * dremsa.core.plan.Planner} joins them.
 */
@NullMarked
package dremsa.core.plan;

import org.jspecify.annotations.NullMarked;
