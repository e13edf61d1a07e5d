/** What comes next: who runs short of what skill, what could be begun, by when it must be. */
@NullMarked
package galecrest.server.forecast;

import org.jspecify.annotations.NullMarked;
