/** What a build costs: estimate, agreed changes, committed, spent, to be invoiced. Exact decimals, one currency. */
@NullMarked
package galecrest.core.money;

import org.jspecify.annotations.NullMarked;
