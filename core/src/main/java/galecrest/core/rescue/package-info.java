/**
 * Ways to win a date back: candidate moves, each tried by planning with it. Begin with
 * {@link galecrest.core.rescue.Rescue}.
 */
@NullMarked
package galecrest.core.rescue;

import org.jspecify.annotations.NullMarked;
