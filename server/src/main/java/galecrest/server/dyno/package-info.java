/** Rolling roads, their run files, the runs of each car, and what they tell when they are compared. */
@NullMarked
package galecrest.server.dyno;

import org.jspecify.annotations.NullMarked;
