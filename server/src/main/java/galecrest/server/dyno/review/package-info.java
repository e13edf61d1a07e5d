/** A run looked through against the limits of its car. */
@NullMarked
package galecrest.server.dyno.review;

import org.jspecify.annotations.NullMarked;
