/** Events: their sessions, cars and crew, the dates and the work that they make, and their tyres. Begin with {@code EventService}. */
@NullMarked
package galecrest.server.event;

import org.jspecify.annotations.NullMarked;
