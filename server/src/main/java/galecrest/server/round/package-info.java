/** Rounds: lists of work that come back, each laid between two dates of a car. */
@NullMarked
package galecrest.server.round;

import org.jspecify.annotations.NullMarked;
