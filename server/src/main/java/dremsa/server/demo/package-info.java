/** The demo household: an invented kitchen with a history, laid out relative to today. */
@NullMarked
package dremsa.server.demo;

import org.jspecify.annotations.NullMarked;
