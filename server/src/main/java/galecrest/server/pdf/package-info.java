/** Documents on paper. */
@NullMarked
package galecrest.server.pdf;

import org.jspecify.annotations.NullMarked;
