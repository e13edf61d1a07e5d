package galecrest.server.step;

import galecrest.core.build.Gate;
import galecrest.core.rollout.ChannelLimit;
import galecrest.core.rollout.RollOutStep;
import galecrest.server.NewId;
import galecrest.server.shop.HouseList;
import java.util.Arrays;
import java.util.List;
import java.util.Optional;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Repository;

@Repository
class RollOutStepRepository implements HouseList.Store<RollOutStep> {
    private final JdbcClient db;

    RollOutStepRepository(JdbcClient db) {
        this.db = db;
    }

    @Override
    public List<RollOutStep> read(@Nullable String build, String discipline) {
        return db.sql("""
                        select * from rollout_step
                        where build_id is not distinct from cast(:build as text) and discipline = :discipline
                        order by position""")
                .param("build", build)
                .param("discipline", discipline)
                .query((row, n) -> new RollOutStep(
                        row.getString("key"),
                        row.getString("name"),
                        row.getString("limits"),
                        Optional.ofNullable(row.getString("gate")).map(Gate::valueOf),
                        lines(row.getString("checks_before")),
                        lines(row.getString("checks_after")),
                        lines(row.getString("channels")).stream()
                                .map(ChannelLimit::read)
                                .toList()))
                .list();
    }

    private static List<String> lines(String text) {
        return Arrays.stream(text.split("\n")).filter(l -> !l.isBlank()).toList();
    }

    @Override
    public void write(@Nullable String build, String discipline, List<RollOutStep> steps) {
        forget(build, discipline);
        for (int i = 0; i < steps.size(); i++) {
            RollOutStep step = steps.get(i);
            db.sql("""
                            insert into rollout_step (id, build_id, discipline, position, key, name, limits, gate,
                                checks_before, checks_after, channels)
                            values (:id, :build, :discipline, :position, :key, :name, :limits, :gate,
                                :before, :after, :channels)""")
                    .param("id", NewId.next())
                    .param("build", build)
                    .param("discipline", discipline)
                    .param("position", i)
                    .param("key", step.key())
                    .param("name", step.name())
                    .param("limits", step.limits())
                    .param("gate", step.gate().map(Enum::name).orElse(null))
                    .param("before", String.join("\n", step.before()))
                    .param("after", String.join("\n", step.after()))
                    .param(
                            "channels",
                            step.channels().stream().map(ChannelLimit::text).collect(Collectors.joining("\n")))
                    .update();
        }
    }

    @Override
    public void forget(@Nullable String build, String discipline) {
        db.sql(
                        "delete from rollout_step where build_id is not distinct from cast(:build as text) and discipline = :discipline")
                .param("build", build)
                .param("discipline", discipline)
                .update();
    }
}
