package galecrest.server.session;

import java.util.Set;
import org.springframework.stereotype.Service;

/** The open sessions: whatever instance one was begun on, it ends on all. */
@Service
public class SessionService {
    private final OpenSessionRepository sessions;

    SessionService(OpenSessionRepository sessions) {
        this.sessions = sessions;
    }

    /** Ends all sessions of an account but perhaps one. */
    public void end(String username, String except) {
        sessions.end(username, except);
    }

    /** Those of some sessions in which somebody is still signed in. */
    public Set<String> alive(Set<String> some) {
        return sessions.alive(some);
    }
}
