/** Between events: turnarounds, spare cars, and how long people are at it. */
@NullMarked
package galecrest.server.season;

import org.jspecify.annotations.NullMarked;
