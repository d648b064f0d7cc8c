/** Formulas out and in, in open formats. */
package dremsa.server.transfer;
