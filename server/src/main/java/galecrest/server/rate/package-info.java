/** What an hour costs, the tax and the currency, and up to what amount a finding goes ahead unasked. */
@NullMarked
package galecrest.server.rate;

import org.jspecify.annotations.NullMarked;
