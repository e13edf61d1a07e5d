package galecrest.server.account;

import galecrest.server.SqlTime;
import galecrest.server.access.Role;
import java.sql.Timestamp;
import java.time.Duration;
import java.time.Instant;
import java.util.List;
import java.util.Optional;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Repository;

/** Invitations and the accounts as the manager sees them, in the database. */
@Repository
class InvitationRepository {
    private final JdbcClient db;

    InvitationRepository(JdbcClient db) {
        this.db = db;
    }

    /** @param ahead how far the shop is ahead of the real time, by which sessions go */
    List<AccountResponse> accounts(Instant now, Duration ahead) {
        return db.sql("""
                        select a.username, a.name, a.role, a.person_id, i.until,
                            count(s.session_id)::int as sessions, max(s.last_access_time) as seen
                        from account a
                        left join (select username, max(expires_at) as until from invitation
                            where expires_at > :now group by username) i on i.username = a.username
                        left join spring_session s on s.principal_name = a.username and s.expiry_time > :millis
                        group by a.username, i.until order by a.username""")
                .param("now", Timestamp.from(now))
                .param("millis", now.minus(ahead).toEpochMilli())
                .query((row, n) -> {
                    long seen = row.getLong("seen");
                    return new AccountResponse(
                            row.getString("username"),
                            row.getString("name"),
                            Role.valueOf(row.getString("role")),
                            row.getString("person_id"),
                            SqlTime.instant(row, "until"),
                            row.getInt("sessions"),
                            seen == 0 ? null : Instant.ofEpochMilli(seen).plus(ahead));
                })
                .list();
    }

    /** The only open invitation of an account is its last. */
    void invite(String username, String digest, Instant now, Instant until) {
        forget(username);
        db.sql("insert into invitation values (:digest, :username, :now, :until)")
                .param("digest", digest)
                .param("username", username)
                .param("now", Timestamp.from(now))
                .param("until", Timestamp.from(until))
                .update();
    }

    Optional<InvitationResponse> open(String digest, Instant now) {
        return db.sql("""
                        select a.username, a.name from invitation i join account a on a.username = i.username
                        where i.digest = :digest and i.expires_at > :now""")
                .param("digest", digest)
                .param("now", Timestamp.from(now))
                .query(InvitationResponse.class)
                .optional();
    }

    /** The account whose invitation this was; of two that come at once, one. */
    Optional<String> use(String digest, Instant now) {
        return db.sql("delete from invitation where digest = :digest and expires_at > :now returning username")
                .param("digest", digest)
                .param("now", Timestamp.from(now))
                .query(String.class)
                .optional();
    }

    void forget(String username) {
        db.sql("delete from invitation where username = :username")
                .param("username", username)
                .update();
    }
}
