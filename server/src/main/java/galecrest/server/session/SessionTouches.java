package galecrest.server.session;

import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;
import org.springframework.session.config.SessionRepositoryCustomizer;
import org.springframework.session.jdbc.JdbcIndexedSessionRepository;

/**
 * That a session was used is written down once a minute, not with every request: of two hundred screens that all hear of a
 * change, each request would else be a write. A session lasts up to a minute less after its last use for it.
 */
@Configuration
class SessionTouches {
    private static final String UPDATE = """
            update %TABLE_NAME% s
            set session_id = v.session_id, last_access_time = v.last_access, max_inactive_interval = v.inactive,
                expiry_time = v.expiry, principal_name = v.principal
            from (values (?::char(36), ?::bigint, ?::int, ?::bigint, ?::varchar, ?::char(36)))
                v (session_id, last_access, inactive, expiry, principal, primary_id)
            where s.primary_id = v.primary_id
                and (s.last_access_time < v.last_access - 60000 or s.session_id <> v.session_id
                    or s.max_inactive_interval <> v.inactive or s.principal_name is distinct from v.principal)""";

    @Bean
    SessionRepositoryCustomizer<JdbcIndexedSessionRepository> touchesSeldom() {
        return sessions -> sessions.setUpdateSessionQuery(UPDATE);
    }
}
