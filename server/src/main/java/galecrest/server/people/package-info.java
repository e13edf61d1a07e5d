/** People, shifts and leave. */
@NullMarked
package galecrest.server.people;

import org.jspecify.annotations.NullMarked;
