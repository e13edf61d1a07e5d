package galecrest.server.access;

import java.util.List;
import java.util.Optional;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Repository;

@Repository
class AccountRepository {
    private final JdbcClient db;

    AccountRepository(JdbcClient db) {
        this.db = db;
    }

    Optional<AccountRow> find(String username) {
        return db.sql("select * from account where username = :username")
                .param("username", username)
                .query((row, n) -> new AccountRow(
                        new Account(
                                row.getString("username"),
                                row.getString("name"),
                                Role.valueOf(row.getString("role")),
                                row.getString("person_id")),
                        row.getString("password")))
                .optional();
    }

    List<Account> all() {
        return db.sql("select username, name, role, person_id from account order by username")
                .query((row, n) -> new Account(
                        row.getString("username"),
                        row.getString("name"),
                        Role.valueOf(row.getString("role")),
                        row.getString("person_id")))
                .list();
    }

    void save(Account account, String password) {
        db.sql("""
                        insert into account (username, name, role, person_id, password)
                        values (:username, :name, :role, :person, :password)
                        on conflict (username) do update
                        set name = :name, role = :role, person_id = :person, password = :password""")
                .param("username", account.username())
                .param("name", account.name())
                .param("role", account.role().name())
                .param("person", account.personId())
                .param("password", password)
                .update();
    }

    void password(String username, String password) {
        db.sql("update account set password = :password where username = :username")
                .param("username", username)
                .param("password", password)
                .update();
    }

    void lock() {
        db.sql("lock table account in share row exclusive mode").update();
    }

    void change(Account account) {
        db.sql("update account set name = :name, role = :role, person_id = :person where username = :username")
                .param("username", account.username())
                .param("name", account.name())
                .param("role", account.role().name())
                .param("person", account.personId())
                .update();
    }

    void remove(String username) {
        db.sql("delete from account where username = :username")
                .param("username", username)
                .update();
    }
}
