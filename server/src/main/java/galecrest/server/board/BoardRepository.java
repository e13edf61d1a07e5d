package galecrest.server.board;

import galecrest.core.build.Gate;
import galecrest.server.SqlTime;
import galecrest.server.work.LinkRepository;
import java.sql.Timestamp;
import java.time.Instant;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Repository;

/** What the screens show besides what the planner plans with. */
@Repository
class BoardRepository {
    private final JdbcClient db;
    private final LinkRepository links;

    BoardRepository(JdbcClient db, LinkRepository links) {
        this.db = db;
        this.links = links;
    }

    Map<String, CarRow> cars() {
        return byId(db.sql("""
                                select b.id, b.body, b.customer, b.discipline, b.version,
                                    count(w.id) filter (where w.status = 'DONE') as done, count(w.id) as total
                                from build b left join work w on w.build_id = b.id
                                where b.put_away_at is null group by b.id""").query(CarRow.class).list(), CarRow::id);
    }

    Map<String, WorkRow> works() {
        return byId(
                db.sql("""
                                select w.id, s.name as stage, s.round_id, w.date_id, w.after_dates, w.there_id, w.not_before, w.note, w.version,
                                    coalesce(j.finding, false) as finding,
                                    j.remaining_minutes, w.done_before, w.customer_name
                                from work_here h join work w on w.id = h.id left join stage s on s.id = w.stage_id
                                    left join job j on j.work_id = w.id""")
                        .query((row, n) -> new WorkRow(
                                row.getString("id"),
                                row.getString("stage"),
                                row.getString("round_id"),
                                row.getString("date_id"),
                                row.getBoolean("after_dates"),
                                row.getString("there_id"),
                                SqlTime.instant(row, "not_before"),
                                row.getString("note"),
                                row.getInt("version"),
                                row.getBoolean("finding"),
                                row.getObject("remaining_minutes", Integer.class),
                                row.getBoolean("done_before"),
                                row.getString("customer_name")))
                        .list(),
                WorkRow::id);
    }

    Map<String, PartRow> parts() {
        return byId(
                db.sql(
                                "select id, build_id, price, quantity, received, customer_supplied, specification, kit, tracking, version from part"
                                        + " where build_id in (select id from build where put_away_at is null)")
                        .query((row, n) -> new PartRow(
                                row.getString("id"),
                                row.getString("build_id"),
                                row.getBigDecimal("price"),
                                row.getInt("quantity"),
                                row.getInt("received"),
                                row.getBoolean("customer_supplied"),
                                row.getString("specification"),
                                row.getString("kit"),
                                row.getString("tracking"),
                                row.getInt("version")))
                        .list(),
                PartRow::id);
    }

    private static <T> Map<String, T> byId(List<T> rows, java.util.function.Function<T, String> id) {
        Map<String, T> map = new HashMap<>();
        rows.forEach(r -> map.put(id.apply(r), r));
        return map;
    }

    Map<String, String> emails() {
        Map<String, String> emails = new HashMap<>();
        db.sql("select id, email from vendor")
                .query((row, n) -> emails.put(row.getString("id"), row.getString("email")))
                .list();
        return emails;
    }

    /** The times that each vendor offers. */
    Map<String, List<Board.TimeView>> times() {
        Map<String, List<Board.TimeView>> times = new HashMap<>();
        db.sql("""
                        select s.*, exists (
                            select 1 from outwork o
                            where o.vendor_id = s.vendor_id and o.slot_from < s.ends_at and s.starts_at < o.slot_to) as taken
                        from vendor_slot s order by starts_at, id""")
                .query((row, n) -> times.computeIfAbsent(row.getString("vendor_id"), v -> new ArrayList<>())
                        .add(new Board.TimeView(
                                row.getString("id"),
                                row.getTimestamp("starts_at").toInstant(),
                                row.getTimestamp("ends_at").toInstant(),
                                row.getString("note"),
                                row.getBoolean("taken"))))
                .list();
        return times;
    }

    Map<String, Integer> versions(String table) {
        Map<String, Integer> versions = new HashMap<>();
        db.sql("select id, version from " + table)
                .query((row, n) -> versions.put(row.getString("id"), row.getInt("version")))
                .list();
        return versions;
    }

    Map<String, List<Board.StageView>> stages() {
        return grouped(db.sql("select build_id, id, name, round_id from stage order by position")
                .query((row, n) -> new KeyedRow<>(
                        row.getString("build_id"),
                        new Board.StageView(row.getString("id"), row.getString("name"), row.getString("round_id"))))
                .list());
    }

    Map<String, List<Board.RoundView>> rounds() {
        return grouped(db.sql("select * from round order by position, id")
                .query((row, n) -> new KeyedRow<>(
                        row.getString("build_id"),
                        new Board.RoundView(
                                row.getString("id"),
                                row.getString("name"),
                                row.getString("date_id"),
                                row.getString("after_id"),
                                row.getInt("version"))))
                .list());
    }

    /** Why the first of a link goes before the other, by link. */
    Map<String, String> reasonsOfLinks() {
        return links.reasons();
    }

    Map<String, List<Board.ForNowView>> forNow() {
        return grouped(db.sql("select * from fitted_for_now where made_good_at is null order by at")
                .query((row, n) -> new KeyedRow<>(
                        row.getString("build_id"),
                        new Board.ForNowView(
                                row.getString("id"),
                                row.getString("what"),
                                row.getString("reason"),
                                Gate.valueOf(row.getString("gate")),
                                row.getTimestamp("at").toInstant())))
                .list());
    }

    /** The last of each kind that counts, by car. */
    Map<String, List<Board.MeasurementView>> measurements() {
        return grouped(db.sql("""
                        select *, coalesce(answered->>'good', answered->>'within tolerance', '') = 'false' as missed
                        from (select distinct on (build_id, what) * from measurement m
                            where not exists (select 1 from measurement c where c.corrects_id = m.id)
                            order by build_id, what, at desc, id desc) latest order by at desc""")
                .query((row, n) -> new KeyedRow<>(
                        row.getString("build_id"),
                        new Board.MeasurementView(
                                row.getString("gauge"),
                                row.getString("what"),
                                row.getString("value"),
                                row.getString("taken_by"),
                                row.getTimestamp("at").toInstant(),
                                row.getString("stale_because"),
                                row.getBoolean("missed"))))
                .list());
    }

    /** What cars may not do, by car. */
    Map<String, List<Board.RestrictionView>> restrictions() {
        return grouped(db.sql("select * from restriction where lifted_at is null order by at, id")
                .query((row, n) -> new KeyedRow<>(
                        row.getString("build_id"),
                        new Board.RestrictionView(
                                row.getString("id"),
                                row.getString("text"),
                                row.getString("because"),
                                row.getString("work_id"))))
                .list());
    }

    Map<String, List<Board.ShiftChangeView>> shiftChanges() {
        return grouped(db.sql("select * from shift_change order by from_day, id")
                .query((row, n) -> new KeyedRow<>(
                        row.getString("person_id"),
                        new Board.ShiftChangeView(
                                row.getString("id"),
                                galecrest.core.people.ShiftChange.Kind.valueOf(row.getString("kind")),
                                row.getObject("from_day", java.time.LocalDate.class),
                                row.getObject("to_day", java.time.LocalDate.class),
                                galecrest.server.people.DayMinutes.time(row.getInt("start_minute")),
                                galecrest.server.people.DayMinutes.time(row.getInt("end_minute")),
                                row.getString("note"))))
                .list());
    }

    private static <T> Map<String, List<T>> grouped(List<KeyedRow<T>> rows) {
        Map<String, List<T>> groups = new HashMap<>();
        rows.forEach(
                r -> groups.computeIfAbsent(r.key(), k -> new ArrayList<>()).add(r.value()));
        return groups;
    }

    List<Board.CallView> calls(Instant before) {
        return db.sql(
                        "select id, who, about, due from promised_call where done_at is null and due < :before order by due")
                .param("before", Timestamp.from(before))
                .query((row, n) -> new Board.CallView(
                        row.getString("id"),
                        row.getString("who"),
                        row.getString("about"),
                        row.getTimestamp("due").toInstant()))
                .list();
    }

    int changesSince(Instant since) {
        return count("select count(*) from change where at > :since", since);
    }

    int doneSince(Instant since) {
        return count("select count(*) from work where done_at > :since and not done_before", since);
    }

    private int count(String sql, Instant since) {
        return db.sql(sql)
                .param("since", Timestamp.from(since))
                .query(Integer.class)
                .single();
    }
}
