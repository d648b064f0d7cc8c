/** The demo household: an invented kitchen with a history, laid out relative to today. */
package dremsa.server.demo;
