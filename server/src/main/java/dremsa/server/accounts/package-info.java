/** Households, who may sign in to them, and whose request this is. */
package dremsa.server.accounts;
