/** What really happened with the work: started, held, done; hours of yesterday, more time, rework, and what is split. */
@NullMarked
package galecrest.server.progress;

import org.jspecify.annotations.NullMarked;
