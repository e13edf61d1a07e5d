/** The plan of the record as it is now. */
@NullMarked
package galecrest.server.plan;

import org.jspecify.annotations.NullMarked;
