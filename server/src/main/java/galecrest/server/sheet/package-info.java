/** Job sheets as CSV, and templates for a new build. */
@NullMarked
package galecrest.server.sheet;

import org.jspecify.annotations.NullMarked;
