/** The core's types as JSON; the core itself knows no annotations. */
@NullMarked
package galecrest.server.json;

import org.jspecify.annotations.NullMarked;
