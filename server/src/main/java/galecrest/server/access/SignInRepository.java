package galecrest.server.access;

import java.sql.Timestamp;
import java.time.Instant;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Repository;

/** Attempts to sign in, each counted by one statement before the password is looked at. */
@Repository
class SignInRepository {
    private final JdbcClient db;

    SignInRepository(JdbcClient db) {
        this.db = db;
    }

    /**
     * Counts an attempt.
     *
     * @param most beyond so many the time does not move on: who goes on trying does not lock it for longer
     * @param old what was before this does not count any more
     */
    AttemptsRow count(String username, String address, int most, Instant now, Instant old) {
        db.sql("delete from sign_in_failure where since < :old")
                .param("old", Timestamp.from(old))
                .update();
        return db.sql("""
                        with mine as (
                            insert into sign_in_failure as f (username, address, failures, since)
                            values (:username, :address, 1, :now)
                            on conflict (username, address) do update
                            set failures = f.failures + 1, since = case when f.failures < :most then :now else f.since end
                            returning failures, since)
                        select failures as here, since,
                            coalesce((select sum(failures) from sign_in_failure where address = :address), 0) as address,
                            coalesce((select sum(failures) from sign_in_failure where username = :username), 0) as account
                        from mine""")
                .param("username", username)
                .param("address", address)
                .param("most", most)
                .param("now", Timestamp.from(now))
                .query((row, n) -> new AttemptsRow(
                        row.getInt("here"),
                        row.getTimestamp("since").toInstant(),
                        row.getInt("address"),
                        row.getInt("account")))
                .single();
    }

    /** Whether the account has signed in from the address before. */
    boolean knows(String username, String address) {
        return db.sql("select exists (select 1 from signed_in_from where username = :username and address = :address)")
                .param("username", username)
                .param("address", address)
                .query(Boolean.class)
                .single();
    }

    /** The right password: nothing counts any more, and the address is known. */
    void succeeded(String username, String address, Instant now) {
        forget(username, address);
        db.sql("""
                        insert into signed_in_from (username, address, at) values (:username, :address, :now)
                        on conflict (username, address) do update set at = excluded.at""")
                .param("username", username)
                .param("address", address)
                .param("now", Timestamp.from(now))
                .update();
    }

    private void forget(String username, String address) {
        db.sql("delete from sign_in_failure where username = :username and address = :address")
                .param("username", username)
                .param("address", address)
                .update();
    }

    /** A new password: what was tried with the old one does not count. */
    void forget(String username) {
        db.sql("delete from sign_in_failure where username = :username")
                .param("username", username)
                .update();
    }
}
