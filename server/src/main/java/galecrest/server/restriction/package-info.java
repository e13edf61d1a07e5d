/** What a car may not do until something is done about it. */
@NullMarked
package galecrest.server.restriction;

import org.jspecify.annotations.NullMarked;
