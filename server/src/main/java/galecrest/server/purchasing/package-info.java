/** The desk: what must be asked, ordered and chased, and what vendors said. */
@NullMarked
package galecrest.server.purchasing;

import org.jspecify.annotations.NullMarked;
