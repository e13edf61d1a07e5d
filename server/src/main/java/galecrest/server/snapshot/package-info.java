/** The whole shop as one file, out and in. */
@NullMarked
package galecrest.server.snapshot;

import org.jspecify.annotations.NullMarked;
