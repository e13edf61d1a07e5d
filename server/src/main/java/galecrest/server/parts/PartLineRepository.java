package galecrest.server.parts;

import galecrest.core.parts.PartState;
import galecrest.server.NewId;
import galecrest.server.SqlTime;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.time.Instant;
import java.util.List;
import java.util.Optional;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Repository;

/** Reads part lines, and writes the steps that a line takes. */
@Repository
public class PartLineRepository {
    private final JdbcClient db;

    PartLineRepository(JdbcClient db) {
        this.db = db;
    }

    private static final String PART = """
            select id, build_id, name, state, quantity, received, customer_supplied, vendor_id, price, arrival_likely as likely,
                promised_at, ordered_at, override_reason, specification, kit, instead_of
            from part """;

    /** Read by hand: a desk has thousands of lines, and mapping by name costs more than the query. */
    private PartRow partRow(ResultSet row, int n) throws SQLException {
        return new PartRow(
                row.getString("id"),
                row.getString("build_id"),
                row.getString("name"),
                PartState.valueOf(row.getString("state")),
                row.getInt("quantity"),
                row.getInt("received"),
                row.getBoolean("customer_supplied"),
                row.getString("vendor_id"),
                row.getBigDecimal("price"),
                SqlTime.instant(row, "likely"),
                SqlTime.instant(row, "promised_at"),
                SqlTime.instant(row, "ordered_at"),
                row.getString("override_reason"),
                row.getString("specification"),
                row.getString("kit"),
                row.getString("instead_of"));
    }

    public Optional<PartRow> part(String id) {
        return db.sql(PART + " where id = :id")
                .param("id", id)
                .query(this::partRow)
                .optional();
    }

    public List<PartRow> openParts() {
        return db.sql(PART + " where state not in ('ACCEPTED', 'FITTED', 'FITTED_FOR_NOW') order by position, id")
                .query(this::partRow)
                .list();
    }

    public List<PartRow> orderedFrom(String vendor) {
        return db.sql(
                        PART
                                + " where vendor_id = :vendor and state in ('ORDERED', 'SHIPPED') order by ordered_at, position")
                .param("vendor", vendor)
                .query(this::partRow)
                .list();
    }

    public void ordered(String part, Instant now) {
        db.sql("update part set ordered_at = :now, promised_at = arrival_likely where id = :id")
                .param("now", SqlTime.of(now))
                .param("id", part)
                .update();
    }

    public void state(String part, PartState state) {
        db.sql("update part set state = :state where id = :id")
                .param("state", state.name())
                .param("id", part)
                .update();
    }

    public void received(String part, int received, PartState state) {
        db.sql("update part set received = :received, state = :state where id = :id")
                .param("received", received)
                .param("state", state.name())
                .param("id", part)
                .update();
    }

    public void refused(String part) {
        db.sql("""
                        update part set state = 'REFUSED', arrival_low = null, arrival_likely = null, arrival_high = null
                        where id = :id""").param("id", part).update();
    }

    public List<KitView> kits() {
        return db.sql("""
                        select build_id, kit, count(*) filter (where state in ('ACCEPTED', 'FITTED', 'FITTED_FOR_NOW')) as here,
                            count(*) as "all"
                        from part where kit <> '' group by build_id, kit order by kit""").query(KitView.class).list();
    }

    /** The line of that name on a build, of a part that is not here. */
    public Optional<String> openNamed(String build, String name) {
        return db.sql("""
                        select id from part where build_id = :build and lower(name) = lower(:name)
                            and state not in ('ACCEPTED', 'FITTED', 'FITTED_FOR_NOW') order by position limit 1""")
                .param("build", build)
                .param("name", name)
                .query(String.class)
                .optional();
    }

    /** A line for a part that a job waits for and nobody has ordered; returns its id. */
    public String wanted(String build, String name, String job) {
        String id = NewId.next();
        db.sql("""
                        insert into part (id, build_id, name, state, inspection_minutes, quantity, customer_supplied, position)
                        values (:id, :build, :name, 'WANTED', 0, 1, false, (select coalesce(max(position), 0) + 1 from part))""").param("id", id).param("build", build).param("name", name).update();
        db.sql("insert into part_need values (:id, :job)")
                .param("id", id)
                .param("job", job)
                .update();
        return id;
    }
}
