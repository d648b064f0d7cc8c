/** How much to brew, and when: the plan as agreed, what would be better, the evening itself. */
@NullMarked
package dremsa.server.plan;

import org.jspecify.annotations.NullMarked;
