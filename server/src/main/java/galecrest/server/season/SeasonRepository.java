package galecrest.server.season;

import galecrest.core.season.StretchRule;
import galecrest.core.work.WorkId;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Repository;

@Repository
class SeasonRepository {
    private final JdbcClient db;

    SeasonRepository(JdbcClient db) {
        this.db = db;
    }

    /** The turnaround that is laid before that date, whatever the event is called by now; empty where there is none. */
    Optional<String> turnaround(String date) {
        return db
                .sql("select id from round where date_id = :date and name like 'Turnaround before %' order by position")
                .param("date", date)
                .query(String.class)
                .list()
                .stream()
                .findFirst();
    }

    Set<WorkId> works(String round) {
        List<String> ids = db.sql("select w.id from work w join stage s on s.id = w.stage_id where s.round_id = :round")
                .param("round", round)
                .query(String.class)
                .list();
        return ids.stream().map(WorkId::new).collect(Collectors.toSet());
    }

    StretchRule rule() {
        return db.sql("select * from stretch_rule")
                .query((row, n) -> new StretchRule(
                        row.getInt("most_days"),
                        row.getInt("most_nights"),
                        row.getInt("most_hours"),
                        row.getInt("event_hours")))
                .optional()
                .orElseGet(StretchRule::usual);
    }

    void keep(StretchRule rule) {
        db.sql("""
                        insert into stretch_rule values ('house', :days, :nights, :hours, :event)
                        on conflict (id) do update set most_days = excluded.most_days, most_nights = excluded.most_nights,
                            most_hours = excluded.most_hours, event_hours = excluded.event_hours""")
                .param("days", rule.mostDays())
                .param("nights", rule.mostNights())
                .param("hours", rule.mostHours())
                .param("event", rule.eventHours())
                .update();
    }
}
