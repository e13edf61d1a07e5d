/** Sheets of paper. */
@NullMarked
package galecrest.server.paper;

import org.jspecify.annotations.NullMarked;
