package galecrest.server.plan;

import galecrest.core.build.Build;
import galecrest.core.build.Gate;
import galecrest.core.people.PersonId;
import galecrest.core.shop.StationId;
import galecrest.core.work.Commitment;
import galecrest.core.work.CommitmentId;
import galecrest.core.work.Link;
import galecrest.core.work.Outing;
import galecrest.core.work.Outwork;
import galecrest.core.work.Work;
import galecrest.core.work.WorkId;
import galecrest.server.SqlTime;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.time.Instant;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.function.Function;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Repository;

/**
 * Reads the dates of all cars: those that were entered, with what is left for later ones, and those that follow from booked
 * slots.
 */
@Repository
class DateSnapshotRepository {
    /** What the date of a booked slot is called by, before the id of its outwork. */
    private static final String SLOT = "slot-";

    private final JdbcClient db;

    DateSnapshotRepository(JdbcClient db) {
        this.db = db;
    }

    /**
     * Which date a piece of work is for, where that is said of it or of its round.
     *
     * @param after whether it is for after all dates
     * @param there whether it is done at that date, and so for none up to it
     * @param notBefore when the date has passed that its round comes after, and the car is back from it
     */
    private record Belonging(
            String work,
            @Nullable String date,
            boolean after,
            boolean there,
            @Nullable Instant notBefore) {
        static Belonging of(ResultSet row) throws SQLException {
            return new Belonging(
                    row.getString("id"),
                    row.getString("date_id"),
                    row.getBoolean("after_dates"),
                    row.getBoolean("there"),
                    SqlTime.instant(row, "not_before"));
        }
    }

    private List<Belonging> belongings() {
        return db.sql("""
                        select w.id, coalesce(w.there_id, w.date_id, case when not w.after_dates then r.date_id end) as date_id,
                            w.after_dates, w.there_id is not null as there, coalesce(a.back_at, a.due) as not_before
                        from work w
                        left join stage s on s.id = w.stage_id
                        left join round r on r.id = s.round_id
                        left join commitment a on a.id = r.after_id
                        where w.status <> 'DONE' and (w.date_id is not null or w.there_id is not null or w.after_dates or r.id is not null)
                        order by w.id""").query((row, n) -> Belonging.of(row)).list();
    }

    /** The work, where a round comes after a date no sooner than that. */
    List<Work> laidBetweenDates(List<Work> works) {
        Map<String, Instant> earliest = new HashMap<>();
        belongings().stream().filter(b -> b.notBefore() != null).forEach(b -> earliest.put(b.work(), b.notBefore()));
        return earliest.isEmpty()
                ? works
                : works.stream()
                        .map(w -> noSooner(w, earliest.get(w.id().value())))
                        .toList();
    }

    private static Work noSooner(Work work, @Nullable Instant than) {
        boolean later = than != null && work.notBefore().map(than::isAfter).orElse(true);
        return later ? work.withNotBefore(than) : work;
    }

    /** All dates, the nearest first. */
    List<Commitment> commitments(List<Build> builds, List<Work> works, List<Link> links) {
        Map<String, Set<WorkId>> named = new HashMap<>();
        db.sql("""
                        select c.* from commitment_work c join work_here w on w.id = c.work_id""")
                .query((row, n) -> named.computeIfAbsent(row.getString("commitment_id"), k -> new HashSet<>())
                        .add(new WorkId(row.getString("work_id"))))
                .list();
        List<Commitment> entered = db.sql("""
                        select c.* from commitment c join build b on b.id = c.build_id
                        where b.put_away_at is null order by c.due, c.id""")
                .query((row, n) -> new Commitment(
                        new CommitmentId(row.getString("id")),
                        SnapshotRows.buildId(row),
                        row.getString("name"),
                        Commitment.Kind.valueOf(row.getString("kind")),
                        row.getTimestamp("due").toInstant(),
                        Gate.valueOf(row.getString("gate")),
                        named.getOrDefault(row.getString("id"), Set.of()),
                        row.getDouble("weight")))
                .list();
        entered = withOutings(entered);
        List<Commitment> all = new ArrayList<>(leavingForLater(entered, works));
        all.addAll(slots(builds, works, links));
        all.sort(Comparator.comparing(Commitment::due).thenComparing(Commitment::id));
        return all;
    }

    private List<Commitment> withOutings(List<Commitment> dates) {
        Map<String, Instant> back = new HashMap<>();
        db.sql("select id, back_at from commitment where back_at is not null").query(row -> {
            back.put(row.getString("id"), row.getTimestamp("back_at").toInstant());
        });
        if (back.isEmpty()) {
            return dates;
        }
        Map<String, Set<PersonId>> crews = along("select commitment_id, person_id from outing_person", PersonId::new);
        Map<String, Set<StationId>> taken =
                along("select commitment_id, station_id from outing_station", StationId::new);
        Map<String, Set<WorkId>> there = along("select there_id, id from work where there_id is not null", WorkId::new);
        return dates.stream()
                .map(c -> c.taking(Optional.ofNullable(back.get(c.id().value()))
                        .map(at -> new Outing(
                                at,
                                crews.getOrDefault(c.id().value(), Set.of()),
                                taken.getOrDefault(c.id().value(), Set.of()),
                                there.getOrDefault(c.id().value(), Set.of())))))
                .toList();
    }

    private <T> Map<String, Set<T>> along(String sql, Function<String, T> id) {
        Map<String, Set<T>> all = new HashMap<>();
        db.sql(sql).query(row -> {
            all.computeIfAbsent(row.getString(1), k -> new HashSet<>()).add(id.apply(row.getString(2)));
        });
        return all;
    }

    private List<Commitment> leavingForLater(List<Commitment> dates, List<Work> works) {
        List<Belonging> said =
                belongings().stream().filter(b -> b.date() != null || b.after()).toList();
        if (said.isEmpty()) {
            return dates;
        }
        Map<String, Instant> due = dates.stream().collect(Collectors.toMap(c -> c.id().value(), Commitment::due));
        Map<String, Work> byId = works.stream().collect(Collectors.toMap(w -> w.id().value(), w -> w));
        return dates.stream()
                .map(date -> {
                    Set<WorkId> later = said.stream()
                            .filter(b -> byId.containsKey(b.work())
                                    && byId.get(b.work()).build().equals(date.build()))
                            .filter(b -> b.after()
                                    || (b.there() || !date.id().value().equals(b.date()))
                                            && !date.due().isAfter(due.getOrDefault(b.date(), Instant.MIN)))
                            .map(b -> new WorkId(b.work()))
                            .collect(Collectors.toSet());
                    return date.leaving(later);
                })
                .toList();
    }

    /** A booked slot is a date of its car: what the outwork follows is done by when it must leave. */
    private static List<Commitment> slots(List<Build> builds, List<Work> works, List<Link> links) {
        Map<Object, Double> weights = builds.stream().collect(Collectors.toMap(Build::id, Build::weight));
        return works.stream()
                .filter(w -> w instanceof Outwork)
                .map(Outwork.class::cast)
                .filter(o ->
                        o.slot().isPresent() && o.away().isEmpty() && o.doneAt().isEmpty())
                .map(o -> new Commitment(
                        new CommitmentId(SLOT + o.id().value()),
                        o.build(),
                        o.name(),
                        Commitment.Kind.SLOT,
                        o.slot().get().from().minus(o.transportOut()),
                        o.gate(),
                        links.stream()
                                .filter(l -> l.then().equals(o.id()) && l.type() == Link.Type.FINISH_START)
                                .map(Link::first)
                                .collect(Collectors.toSet()),
                        weights.getOrDefault(o.build(), 1.0),
                        Set.of(),
                        Optional.of(o.id()),
                        Optional.empty()))
                .toList();
    }
}
