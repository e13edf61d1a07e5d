/** What a customer is asked: a change, or something found on the car, with its price and what it does to every date. */
@NullMarked
package galecrest.server.changeorder;

import org.jspecify.annotations.NullMarked;
