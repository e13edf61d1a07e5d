/** The one page that a customer sees, by a link of its own. */
@NullMarked
package galecrest.server.customer;

import org.jspecify.annotations.NullMarked;
