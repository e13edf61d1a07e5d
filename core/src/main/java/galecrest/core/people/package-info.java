/** People: what they can do and when they are in. */
@NullMarked
package galecrest.core.people;

import org.jspecify.annotations.NullMarked;
