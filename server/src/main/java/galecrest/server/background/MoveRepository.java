package galecrest.server.background;

import galecrest.core.build.Gate;
import galecrest.core.parts.PartLine;
import galecrest.core.plan.ShopSnapshot;
import galecrest.core.rescue.Move;
import galecrest.core.rescue.MoveEffects;
import galecrest.core.work.Job;
import galecrest.core.work.Outwork;
import galecrest.core.work.Work;
import galecrest.server.NewId;
import galecrest.server.SqlTime;
import galecrest.server.build.FittedForNowRepository;
import java.sql.Timestamp;
import java.time.Clock;
import java.util.List;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Repository;

/** Writes what moves change in a shop: only the rows that differ. */
@Repository
class MoveRepository {
    private final JdbcClient db;
    private final FittedForNowRepository fittedForNow;
    private final Clock clock;

    MoveRepository(JdbcClient db, FittedForNowRepository fittedForNow, Clock clock) {
        this.db = db;
        this.fittedForNow = fittedForNow;
        this.clock = clock;
    }

    void save(ShopSnapshot before, ShopSnapshot after, List<Move> moves) {
        for (int i = 0; i < before.parts().size(); i++) {
            PartLine part = after.parts().get(i);
            if (!part.equals(before.parts().get(i))) {
                part.arrival().ifPresent(a -> db.sql("""
                                        update part set arrival_low = :low, arrival_likely = :likely,
                                            arrival_high = :high where id = :id""")
                        .param("low", Timestamp.from(a.low()))
                        .param("likely", Timestamp.from(a.likely()))
                        .param("high", Timestamp.from(a.high()))
                        .param("id", part.id().value())
                        .update());
            }
        }
        for (int i = 0; i < before.works().size(); i++) {
            Work was = before.works().get(i);
            Work is = after.works().get(i);
            if (!was.equals(is)) {
                work(was, is);
            }
        }
        for (int i = 0; i < before.links().size(); i++) {
            var link = after.links().get(i);
            if (!link.equals(before.links().get(i))) {
                link.risk().ifPresent(risk -> db.sql("""
                                        update link set risk_chance = :chance, risk_rework_minutes = :rework
                                        where id = :id""")
                        .param("chance", risk.chance())
                        .param("rework", risk.rework().value())
                        .param("id", link.id().value())
                        .update());
            }
        }
        for (int i = 0; i < before.commitments().size(); i++) {
            var commitment = after.commitments().get(i);
            if (!commitment.equals(before.commitments().get(i))) {
                db.sql(
                                "update commitment set due = :due, back_at = back_at + (cast(:due as timestamptz) - due) where id = :id")
                        .param("due", Timestamp.from(commitment.due()))
                        .param("id", commitment.id().value())
                        .update();
            }
        }
        moves.forEach(move -> {
            if (move instanceof Move.ExtraShift shift) {
                extra(shift);
            } else if (move instanceof Move.InterimFix fix) {
                interim(before, fix);
            }
        });
    }

    private void work(Work was, Work is) {
        if (!was.notBefore().equals(is.notBefore())) {
            db.sql("update work set not_before = :at where id = :id")
                    .param("at", SqlTime.of(is.notBefore().orElse(null)))
                    .param("id", is.id().value())
                    .update();
        }
        if (is instanceof Outwork outwork) {
            var back = outwork.away().map(a -> a.back());
            db.sql("""
                            update outwork set low_days = :low, likely_days = :likely, high_days = :high,
                                back_low = :backLow, back_likely = :backLikely, back_high = :backHigh
                            where work_id = :id""")
                    .param("low", outwork.turnaround().low())
                    .param("likely", outwork.turnaround().likely())
                    .param("high", outwork.turnaround().high())
                    .param("backLow", SqlTime.of(back.map(b -> b.low()).orElse(null)))
                    .param("backLikely", SqlTime.of(back.map(b -> b.likely()).orElse(null)))
                    .param("backHigh", SqlTime.of(back.map(b -> b.high()).orElse(null)))
                    .param("id", is.id().value())
                    .update();
        } else if (is instanceof Job job
                && was instanceof Job old
                && !job.crew().equals(old.crew())) {
            int place = job.crew().size() - 1;
            db.sql("insert into job_place values (:id, :place, :skill, :least)")
                    .param("id", job.id().value())
                    .param("place", place)
                    .param("skill", job.crew().get(place).skill())
                    .param("least", job.crew().get(place).least().name())
                    .update();
            db.sql(
                            "update job set low_minutes = :low, likely_minutes = :likely, high_minutes = :high where work_id = :id")
                    .param("low", job.estimate().low().value())
                    .param("likely", job.estimate().likely().value())
                    .param("high", job.estimate().high().value())
                    .param("id", job.id().value())
                    .update();
        }
    }

    private void extra(Move.ExtraShift shift) {
        db.sql("""
                        insert into shift_change (id, person_id, kind, from_day, to_day, start_minute, end_minute, note)
                        values (:id, :person, 'EXTRA', :day, :day, :start, :end, 'extra shift')""")
                .param("id", NewId.next())
                .param("person", shift.person().value())
                .param("day", shift.day())
                .param("start", shift.from().toSecondOfDay() / 60)
                .param("end", shift.to().toSecondOfDay() / 60)
                .update();
    }

    /** The part is no longer waited for, and stands in the register until it is made good before the car's event. */
    private void interim(ShopSnapshot shop, Move.InterimFix fix) {
        String build = db.sql("select build_id from part where id = :id")
                .param("id", fix.part().value())
                .query(String.class)
                .single();
        String name = shop.parts().stream()
                .filter(p -> p.id().equals(fix.part()))
                .map(PartLine::name)
                .findFirst()
                .orElse("a part");
        db.sql("update part set pair_override = :because where paired_with = :id and pair_override is null")
                .param("because", MoveEffects.HALF_GONE)
                .param("id", fix.part().value())
                .update();
        db.sql("delete from part_need where part_id = :id")
                .param("id", fix.part().value())
                .update();
        fittedForNow.insert(build, "without " + name, "to keep the date", Gate.EVENT, clock.instant());
    }
}
