package galecrest.server.parts;

import galecrest.core.mate.MateKind;
import galecrest.core.parts.PartState;
import galecrest.server.NewId;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.sql.Timestamp;
import java.time.Instant;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.jspecify.annotations.Nullable;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Repository;

/** Reads and writes what the desk knows of parts beyond the plan. */
@Repository
class DeskRepository {
    private final JdbcClient db;

    DeskRepository(JdbcClient db) {
        this.db = db;
    }

    private static final String PART = """
            select id, build_id, name, state, quantity, received, own, vendor_id, price, arrival_likely as likely,
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
                row.getBoolean("own"),
                row.getString("vendor_id"),
                row.getBigDecimal("price"),
                instant(row, "likely"),
                instant(row, "promised_at"),
                instant(row, "ordered_at"),
                row.getString("override_reason"),
                row.getString("specification"),
                row.getString("kit"),
                row.getString("instead_of"));
    }

    Optional<PartRow> part(String id) {
        return db.sql(PART + " where id = :id")
                .param("id", id)
                .query(this::partRow)
                .optional();
    }

    List<PartRow> openParts() {
        return db.sql(PART + " where state not in ('ACCEPTED', 'FITTED', 'FITTED_FOR_NOW') order by position, id")
                .query(this::partRow)
                .list();
    }

    Map<String, List<MateView>> mates() {
        Map<String, List<MateView>> mates = new HashMap<>();
        db.sql("select * from mate order by part_id, position")
                .query((row, n) -> mates.computeIfAbsent(row.getString("part_id"), k -> new ArrayList<>())
                        .add(mate(row)))
                .list();
        return mates;
    }

    List<MateView> mates(String part) {
        return db.sql("select * from mate where part_id = :part order by position")
                .param("part", part)
                .query((row, n) -> mate(row))
                .list();
    }

    private static MateView mate(ResultSet row) throws SQLException {
        return MateBook.judged(
                row.getString("place"),
                MateKind.valueOf(row.getString("kind")),
                row.getString("there"),
                row.getString("comes"));
    }

    void saveMates(String part, List<MateRequest> mates) {
        db.sql("delete from mate where part_id = :part").param("part", part).update();
        for (int i = 0; i < mates.size(); i++) {
            var mate = mates.get(i);
            db.sql("insert into mate values (:id, :part, :place, :kind, :there, :comes, :position)")
                    .param("id", NewId.next())
                    .param("part", part)
                    .param("place", mate.place().strip())
                    .param("kind", mate.kind().name())
                    .param("there", mate.there().strip())
                    .param("comes", mate.comes().strip())
                    .param("position", i)
                    .update();
        }
    }

    void ordered(String part, Instant now) {
        db.sql("update part set ordered_at = :now, promised_at = arrival_likely where id = :id")
                .param("now", Timestamp.from(now))
                .param("id", part)
                .update();
    }

    void state(String part, PartState state) {
        db.sql("update part set state = :state where id = :id")
                .param("state", state.name())
                .param("id", part)
                .update();
    }

    void order(String part, OrderRequest form, Instant now) {
        db.sql("""
                        update part
                        set state = 'ORDERED', ordered_at = :now, promised_at = :likely, arrival_low = :low,
                            arrival_likely = :likely, arrival_high = :high, price = coalesce(:price, price),
                            override_reason = :reason
                        where id = :id""")
                .param("now", Timestamp.from(now))
                .param("low", time(form.low()))
                .param("likely", time(form.likely()))
                .param("high", time(form.high()))
                .param("price", form.price())
                .param("reason", blankToNull(form.overrideReason()))
                .param("id", part)
                .update();
    }

    private static @Nullable String blankToNull(@Nullable String text) {
        return text == null || text.isBlank() ? null : text.strip();
    }

    /** Another part in this line: to be ordered anew, with its own sides of the joints open. */
    void instead(PartRow part, InsteadRequest form) {
        db.sql("""
                        update part
                        set name = :name, vendor_id = :vendor, price = :price, state = 'WANTED', instead_of = :was,
                            arrival_low = null, arrival_likely = null, arrival_high = null, ordered_at = null,
                            promised_at = null, override_reason = null, tracking = ''
                        where id = :id""")
                .param("name", form.name().strip())
                .param("vendor", form.vendorId())
                .param("price", form.price())
                .param("was", part.name())
                .param("id", part.id())
                .update();
        db.sql("update mate set comes = '' where part_id = :id")
                .param("id", part.id())
                .update();
    }

    void dates(String part, Instant low, Instant likely, Instant high) {
        db.sql("update part set arrival_low = :low, arrival_likely = :likely, arrival_high = :high where id = :id")
                .param("low", time(low))
                .param("likely", time(likely))
                .param("high", time(high))
                .param("id", part)
                .update();
    }

    /** The new return of outwork that is away; of one that is not yet, nothing can be promised but its slot. */
    boolean back(String work, Instant low, Instant likely, Instant high) {
        return db.sql("""
                        update outwork set back_low = :low, back_likely = :likely, back_high = :high
                        where work_id = :id and away_since is not null""")
                        .param("low", time(low))
                        .param("likely", time(likely))
                        .param("high", time(high))
                        .param("id", work)
                        .update()
                > 0;
    }

    Optional<String> outworkName(String id) {
        return db.sql("select name from work where id = :id and kind = 'OUTWORK'")
                .param("id", id)
                .query(String.class)
                .optional();
    }

    void word(
            @Nullable String part,
            @Nullable String work,
            String said,
            @Nullable Instant nextAt,
            String by,
            Instant now) {
        db.sql("insert into word values (:id, :part, :work, :at, :by, :said, :next)")
                .param("id", NewId.next())
                .param("part", part)
                .param("work", work)
                .param("at", Timestamp.from(now))
                .param("by", by)
                .param("said", said.strip())
                .param("next", time(nextAt))
                .update();
    }

    List<VendorWord> words(String part) {
        return db.sql("select at, by_name as by, said, next_at from word where part_id = :part order by at desc, id")
                .param("part", part)
                .query(VendorWord.class)
                .list();
    }

    /** The last word on each part and outwork. */
    Map<String, VendorWord> lastWords() {
        Map<String, VendorWord> words = new HashMap<>();
        db.sql("""
                        select distinct on (coalesce(part_id, work_id)) coalesce(part_id, work_id) as about, *
                        from word order by coalesce(part_id, work_id), at desc""")
                .query((row, n) -> words.put(
                        row.getString("about"),
                        new VendorWord(
                                row.getTimestamp("at").toInstant(),
                                row.getString("by_name"),
                                row.getString("said"),
                                instant(row, "next_at"))))
                .list();
        return words;
    }

    void inspection(String part, InspectionRequest form, String by, Instant now) {
        db.sql("""
                        insert into inspection values (:id, :part, :at, :by, :counted, :variant, :sizes, :damage, :photo,
                            :accepted, :reason)""")
                .param("id", NewId.next())
                .param("part", part)
                .param("at", Timestamp.from(now))
                .param("by", by)
                .param("counted", form.counted())
                .param("variant", form.rightVariant())
                .param("sizes", form.sizes().strip())
                .param("damage", form.damage().strip())
                .param("photo", form.photoId())
                .param("accepted", form.accepted())
                .param("reason", form.reason().strip())
                .update();
    }

    void received(String part, int received, PartState state) {
        db.sql("update part set received = :received, state = :state where id = :id")
                .param("received", received)
                .param("state", state.name())
                .param("id", part)
                .update();
    }

    void refused(String part) {
        db.sql("""
                        update part set state = 'REFUSED', arrival_low = null, arrival_likely = null, arrival_high = null
                        where id = :id""").param("id", part).update();
    }

    void delivered(String vendor, String what, Instant promised, Instant came) {
        db.sql("insert into delivery values (:id, :vendor, :what, :promised, :came)")
                .param("id", NewId.next())
                .param("vendor", vendor)
                .param("what", what)
                .param("promised", Timestamp.from(promised))
                .param("came", Timestamp.from(came))
                .update();
    }

    List<InspectionView> inspections(String part) {
        return db.sql("""
                        select at, by_name as by, counted, right_variant, sizes, damage, photo_id, accepted, reason
                        from inspection where part_id = :part order by at desc, id""").param("part", part).query(InspectionView.class).list();
    }

    void forNow(PartRow part, String gate, String reason, Instant now) {
        db.sql("""
                        insert into fitted_for_now (id, build_id, what, reason, gate, at)
                        values (:id, :build, :what, :reason, :gate, :at)""")
                .param("id", NewId.next())
                .param("build", part.buildId())
                .param("what", part.name())
                .param("reason", reason)
                .param("gate", gate)
                .param("at", Timestamp.from(now))
                .update();
    }

    MailResponse send(
            String recipient, String subject, String body, String part, String attachment, String by, Instant now) {
        String id = NewId.next();
        db.sql("insert into mail values (:id, :at, :by, :to, :subject, :body, :part, :attachment)")
                .param("id", id)
                .param("at", Timestamp.from(now))
                .param("by", by)
                .param("to", recipient)
                .param("subject", subject)
                .param("body", body)
                .param("part", part)
                .param("attachment", attachment)
                .update();
        return new MailResponse(id, now, by, recipient, subject, body, part, attachment);
    }

    List<MailResponse> mail(@Nullable String part) {
        return db.sql("""
                        select id, at, by_name as by, recipient, subject, body, part_id, attachment
                        from mail where :part::text is null or part_id = :part order by at desc, id limit 200""").param("part", part).query(MailResponse.class).list();
    }

    Optional<VendorRow> vendor(@Nullable String id) {
        return db.sql("select id, name, phone, email from vendor where id = :id")
                .param("id", id)
                .query(VendorRow.class)
                .optional();
    }

    List<PartRow> orderedFrom(String vendor) {
        return db.sql(
                        PART
                                + " where vendor_id = :vendor and state in ('ORDERED', 'SHIPPED') order by ordered_at, position")
                .param("vendor", vendor)
                .query(this::partRow)
                .list();
    }

    List<KitView> kits() {
        return db.sql("""
                        select build_id, kit, count(*) filter (where state in ('ACCEPTED', 'FITTED', 'FITTED_FOR_NOW')) as here,
                            count(*) as "all"
                        from part where kit <> '' group by build_id, kit order by kit""").query(KitView.class).list();
    }

    String shopName() {
        return db.sql("select name from shop").query(String.class).optional().orElse("A new shop");
    }

    String build(String id) {
        return db.sql("select trim(number || ' ' || name) from build where id = :id")
                .param("id", id)
                .query(String.class)
                .single();
    }

    private static @Nullable Timestamp time(@Nullable Instant at) {
        return at == null ? null : Timestamp.from(at);
    }

    private static @Nullable Instant instant(ResultSet row, String column) throws SQLException {
        Timestamp at = row.getTimestamp(column);
        return at == null ? null : at.toInstant();
    }
}
