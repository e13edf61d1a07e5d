/** Cope templates on paper, at true size. */
@NullMarked
package galecrest.server.cope;

import org.jspecify.annotations.NullMarked;
