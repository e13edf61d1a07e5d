/** Work done at our place by somebody who is not on our roll: a customer, or a vendor's people, on a day of theirs. */
@NullMarked
package galecrest.server.guest;

import org.jspecify.annotations.NullMarked;
