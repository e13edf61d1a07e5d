package galecrest.server.purchasing;

import galecrest.server.NewId;
import galecrest.server.SqlTime;
import java.time.Instant;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import org.jspecify.annotations.Nullable;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Repository;

/** What vendors said, and what was sent to them. */
@Repository
class VendorWordRepository {
    private final JdbcClient db;

    VendorWordRepository(JdbcClient db) {
        this.db = db;
    }

    void word(
            @Nullable String part,
            @Nullable String work,
            String said,
            @Nullable Instant nextAt,
            String by,
            Instant now) {
        db.sql("insert into vendor_word values (:id, :part, :work, :at, :by, :said, :next)")
                .param("id", NewId.next())
                .param("part", part)
                .param("work", work)
                .param("at", SqlTime.of(now))
                .param("by", by)
                .param("said", said.strip())
                .param("next", SqlTime.of(nextAt))
                .update();
    }

    List<VendorWord> words(String part) {
        return db.sql(
                        "select at, by_name as by, said, next_at from vendor_word where part_id = :part order by at desc, id")
                .param("part", part)
                .query(VendorWord.class)
                .list();
    }

    /** The last word on each part and outwork. */
    Map<String, VendorWord> lastWords() {
        Map<String, VendorWord> words = new HashMap<>();
        db.sql("""
                        select distinct on (coalesce(part_id, work_id)) coalesce(part_id, work_id) as about, *
                        from vendor_word order by coalesce(part_id, work_id), at desc""")
                .query((row, n) -> words.put(
                        row.getString("about"),
                        new VendorWord(
                                row.getTimestamp("at").toInstant(),
                                row.getString("by_name"),
                                row.getString("said"),
                                SqlTime.instant(row, "next_at"))))
                .list();
        return words;
    }

    MailResponse send(
            String recipient, String subject, String body, String part, String attachment, String by, Instant now) {
        String id = NewId.next();
        db.sql("insert into mail values (:id, :at, :by, :to, :subject, :body, :part, :attachment)")
                .param("id", id)
                .param("at", SqlTime.of(now))
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
}
