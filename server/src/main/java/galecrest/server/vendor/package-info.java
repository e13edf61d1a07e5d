/** The firms: their hours, what they offer, how they have kept their word. */
@NullMarked
package galecrest.server.vendor;

import org.jspecify.annotations.NullMarked;
