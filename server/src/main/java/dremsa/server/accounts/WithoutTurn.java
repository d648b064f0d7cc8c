package dremsa.server.accounts;

import java.lang.annotation.Documented;
import java.lang.annotation.ElementType;
import java.lang.annotation.Retention;
import java.lang.annotation.RetentionPolicy;
import java.lang.annotation.Target;

/**
 * A request that looks like a writer's but only asks, or that takes its household's turn itself,
 * for what is left to write after long work. Without it every POST, PUT, PATCH and DELETE of a
 * member is one turn of the household as a whole.
 */
@Documented
@Target(ElementType.METHOD)
@Retention(RetentionPolicy.RUNTIME)
public @interface WithoutTurn {}
