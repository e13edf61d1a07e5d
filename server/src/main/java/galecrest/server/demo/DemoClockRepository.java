package galecrest.server.demo;

import java.time.Duration;
import java.util.Optional;
import org.springframework.context.annotation.Profile;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Repository;

/** How far the demo's own time is ahead, so that it goes on from there after a restart. */
@Repository
@Profile("demo")
class DemoClockRepository {
    private final JdbcClient db;

    DemoClockRepository(JdbcClient db) {
        this.db = db;
    }

    Optional<Duration> ahead() {
        return db.sql("select ahead_seconds from shop_clock")
                .query(Long.class)
                .optional()
                .map(Duration::ofSeconds);
    }

    void keep(Duration ahead) {
        db.sql("""
                        insert into shop_clock (ahead_seconds) values (:seconds)
                        on conflict (id) do update set ahead_seconds = greatest(shop_clock.ahead_seconds, :seconds)""").param("seconds", ahead.toSeconds()).update();
    }
}
