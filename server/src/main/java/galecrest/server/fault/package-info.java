/** Finding faults: the symptom, what was checked, and what was ruled out. */
@NullMarked
package galecrest.server.fault;

import org.jspecify.annotations.NullMarked;
