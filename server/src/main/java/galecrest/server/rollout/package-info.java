/** Cars that come to life: their steps, tries, fires and findings. Begin with {@code RollOutService}. */
@NullMarked
package galecrest.server.rollout;

import org.jspecify.annotations.NullMarked;
