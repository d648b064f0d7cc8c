/** The formulas a household can brew from. */
package dremsa.server.formulas;
