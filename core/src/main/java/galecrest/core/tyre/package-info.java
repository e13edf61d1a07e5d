/** Sets of tyres and the sessions that they serve. Begin with {@link galecrest.core.tyre.TyrePlanner}. */
@NullMarked
package galecrest.core.tyre;

import org.jspecify.annotations.NullMarked;
