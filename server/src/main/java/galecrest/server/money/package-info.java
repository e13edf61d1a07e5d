/** Estimates, change orders, what is spent and what is to be invoiced. */
@NullMarked
package galecrest.server.money;

import org.jspecify.annotations.NullMarked;
