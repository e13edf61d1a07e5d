package galecrest.server.journal;

import static org.assertj.core.api.Assertions.assertThat;

import java.sql.Connection;
import java.sql.DriverManager;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.sql.Statement;
import org.flywaydb.core.Flyway;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;

/** What was changed before tables and columns were given other names can still be undone after it. */
class RenamedTablesTest {
    private static final String SCHEMA = "before_the_names";

    private Connection database;

    @BeforeEach
    void asItWas() throws SQLException {
        database = DriverManager.getConnection(
                System.getenv("SPRING_DATASOURCE_URL"),
                System.getenv("SPRING_DATASOURCE_USERNAME"),
                System.getenv("SPRING_DATASOURCE_PASSWORD"));
        run("drop schema if exists " + SCHEMA + " cascade");
        migrate("8");
        run("set search_path to " + SCHEMA);
    }

    @AfterEach
    void dropIt() throws SQLException {
        run("drop schema " + SCHEMA + " cascade");
        database.close();
    }

    private static void migrate(String target) {
        Flyway.configure()
                .dataSource(
                        System.getenv("SPRING_DATASOURCE_URL"),
                        System.getenv("SPRING_DATASOURCE_USERNAME"),
                        System.getenv("SPRING_DATASOURCE_PASSWORD"))
                .schemas(SCHEMA)
                .target(target)
                .load()
                .migrate();
    }

    private void run(String sql) throws SQLException {
        try (Statement statement = database.createStatement()) {
            statement.execute(sql);
        }
    }

    private String one(String sql) throws SQLException {
        try (Statement statement = database.createStatement();
                ResultSet row = statement.executeQuery(sql)) {
            row.next();
            return row.getString(1);
        }
    }

    /** Writes something down as a change of its own, as the journal does; answers its number. */
    private String change(String... sql) throws SQLException {
        database.setAutoCommit(false);
        String id = one("insert into change (at, actor, session_id, summary) values (now(), 'Mara', 's', 'test')"
                + " returning id");
        run("select set_config('galecrest.change', '" + id + "', true)");
        for (String each : sql) {
            run(each);
        }
        database.commit();
        database.setAutoCommit(true);
        return id;
    }

    private void undo(String id) throws SQLException {
        change("do $$ begin assert revert_change(" + id + ") is null, 'it went back'; end $$");
    }

    @Test
    void theJournalKnowsTheNamesOfToday() throws SQLException {
        change(
                "insert into shop (name, zone, at_risk_start, told_otherwise, car_in_bits, finish_day, unknown_arrival_days)"
                        + " values ('Shop', 'Europe/Berlin', 4, 2, 0.2, 0.1, 14)",
                "insert into build (id, number, name, body, customer, discipline, weight, position)"
                        + " values ('b', '61', 'Red', 'COUPE', '', '', 1, 0)",
                "insert into part (id, build_id, name, state, inspection_minutes, position)"
                        + " values ('p', 'b', 'flange', 'WANTED', 0, 0)");
        String joint = change("insert into mate values ('m', 'p', 'hub', 'THREAD', 'M12x1.25 male', '', 0)");
        String said = change("insert into word values ('w', 'p', null, now(), 'Mara', 'on Friday', null)");
        String own = change("update part set own = true where id = 'p'");
        String weight = change("update shop set car_in_bits = 7");
        migrate("latest");
        assertThat(one("select car_side from mate")).isEqualTo("M12x1.25 male");
        assertThat(one("select said from vendor_word")).isEqualTo("on Friday");
        assertThat(one("select customer_supplied from part")).isEqualTo("t");
        undo(weight);
        undo(own);
        undo(said);
        undo(joint);
        assertThat(one("select opened_car_day from shop")).isNotEqualTo("7");
        assertThat(one("select customer_supplied from part")).isEqualTo("f");
        assertThat(one("select count(*) from vendor_word")).isEqualTo("0");
        assertThat(one("select count(*) from mate")).isEqualTo("0");
    }
}
