/** Part lines: what a job needs and when it is here. */
@NullMarked
package galecrest.core.parts;

import org.jspecify.annotations.NullMarked;
