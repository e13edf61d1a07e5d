/** The open sessions: kept on the database, touched seldom, ended everywhere at once. */
@NullMarked
package galecrest.server.session;

import org.jspecify.annotations.NullMarked;
