package galecrest.server.session;

import java.util.List;
import java.util.Set;
import java.util.TreeSet;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Repository;

/** The open sessions, in the tables of Spring Session. */
@Repository
class OpenSessionRepository {
    private final JdbcClient db;

    OpenSessionRepository(JdbcClient db) {
        this.db = db;
    }

    /** Ends all sessions of an account but perhaps one. */
    void end(String username, String except) {
        db.sql("delete from spring_session where principal_name = :username and session_id <> :except")
                .param("username", username)
                .param("except", except)
                .update();
    }

    /** Those of some sessions in which somebody is still signed in. */
    Set<String> alive(Set<String> sessions) {
        if (sessions.isEmpty()) {
            return Set.of();
        }
        return new TreeSet<>(db.sql("""
                        select session_id from spring_session
                        where session_id in (:sessions) and principal_name is not null""")
                .param("sessions", List.copyOf(sessions))
                .query(String.class)
                .list());
    }
}
