/**
 * A car as a whole: what it is called, its zones, its stages and the gates up to the track. Begin with
 * {@link galecrest.core.build.Build}.
 */
@NullMarked
package galecrest.core.build;

import org.jspecify.annotations.NullMarked;
