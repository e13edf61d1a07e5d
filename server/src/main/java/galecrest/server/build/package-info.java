/** Builds and the work in them. */
@NullMarked
package galecrest.server.build;

import org.jspecify.annotations.NullMarked;
