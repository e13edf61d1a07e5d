/** What meets what: both sides of a joint written down before anything is ordered, and judged. */
@NullMarked
package galecrest.core.mate;

import org.jspecify.annotations.NullMarked;
