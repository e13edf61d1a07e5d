/** What components are, how long they live and what wears them. Begin with {@link galecrest.core.component.ComponentLife}. */
@NullMarked
package galecrest.core.component;

import org.jspecify.annotations.NullMarked;
