/** What goes aboard for an event, ticked by many thumbs at once. Begin with {@code LoadService}. */
@NullMarked
package galecrest.server.load;

import org.jspecify.annotations.NullMarked;
