/**
 * What makers learn from what they brewed. What was {@link dremsa.core.learn.Weighed} becomes what
 * a kitchen {@link dremsa.core.learn.Taught} the model. Every answer has its interval, and that
 * something cannot be told yet is an answer.
 */
@NullMarked
package dremsa.core.learn;

import org.jspecify.annotations.NullMarked;
