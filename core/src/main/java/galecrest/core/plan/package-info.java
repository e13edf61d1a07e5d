/** The planner: a shop snapshot goes in, an explained plan comes out. */
@NullMarked
package galecrest.core.plan;

import org.jspecify.annotations.NullMarked;
