/** Builds and the work in them: jobs, outwork, running-in, links, gates and commitments. */
@NullMarked
package galecrest.core.build;

import org.jspecify.annotations.NullMarked;
