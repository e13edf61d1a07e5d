package galecrest.server.journal;

import galecrest.server.access.AnyHand;
import galecrest.server.access.CurrentUser;
import galecrest.server.access.Role;
import galecrest.server.problem.ValidationException;
import java.sql.Timestamp;
import java.time.Clock;
import java.time.Instant;
import java.util.List;
import java.util.Optional;
import java.util.function.Supplier;
import org.jspecify.annotations.Nullable;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Service;
import org.springframework.transaction.PlatformTransactionManager;
import org.springframework.transaction.support.TransactionTemplate;

/**
 * Every change goes through here: one transaction, one line in the journal, one notice to all instances. The rows
 * that it changes are written down by the database itself.
 */
@Service
public class Journal {
    /** The channel on which instances hear of changes. */
    public static final String CHANNEL = "galecrest_change";

    private final JdbcClient db;
    private final TransactionTemplate transaction;
    private final Clock clock;
    private final CurrentUser who;

    Journal(JdbcClient db, PlatformTransactionManager transactions, Clock clock, CurrentUser who) {
        this.db = db;
        this.transaction = new TransactionTemplate(transactions);
        this.clock = clock;
        this.who = who;
    }

    /** A line of the journal. */
    public record Entry(
            long id,
            Instant at,
            String actor,
            String summary,
            boolean undone,
            boolean undoes,
            boolean draft,
            Concerns concerns) {
        /** Whether somebody of that role may read it. */
        public boolean isFor(Role role) {
            return switch (concerns) {
                case ALL -> !draft || role != Role.HAND;
                case LEADS -> role != Role.HAND;
                case MANAGERS -> role == Role.MANAGER;
            };
        }
    }

    /** Whom a change concerns: payments are the manager's, prices are not for hands. */
    public enum Concerns {
        ALL,
        LEADS,
        MANAGERS
    }

    /** Whom the change {@code c} concerns, by the tables it wrote, and what undid it; looked up line by line. */
    private static final String LOOKED_UP = """
             left join lateral (
                select case
                    when bool_or(r.table_name in ('payment', 'estimate', 'account', 'invitation', 'customer_link')) then 'MANAGERS'
                    when count(*) > 0 then 'LEADS'
                    else 'ALL' end as concerns
                from change_row r
                where r.change_id = c.id and r.table_name in ('payment', 'estimate', 'account', 'invitation', 'customer_link',
                    'change_order', 'vendor_offer', 'vendor_slot')) k on true
             left join lateral (select id from change u where u.undoes = c.id limit 1) u on true
             left join lateral (select draft from change o where o.id = c.undoes limit 1) o on true
            """;

    /** Runs a change that the summary describes, in the words of "Mara: …". */
    public <T> T change(String summary, Supplier<T> change) {
        return transaction.execute(status -> {
            open(summary, null);
            return change.get();
        });
    }

    /** The same for a change without an answer. */
    public void change(String summary, Runnable change) {
        change(summary, () -> {
            change.run();
            return null;
        });
    }

    /** Runs a change that is only about the plan; it can be thrown away with {@link #discardDraft}. */
    public void draft(String summary, Runnable change) {
        change(summary, () -> {
            change.run();
            markDraft();
        });
    }

    /**
     * Refuses where others have changed something about the plan that was not looked at.
     *
     * @param looked the last change of what was looked at; null where nobody says
     */
    public void mustHaveSeenDrafts(@Nullable Long looked) {
        if (looked != null) {
            mustHaveSeen(looked, draftsAfter(looked));
        }
    }

    private void mustHaveSeen(long looked, List<Entry> drafts) {
        drafts.stream()
                .filter(draft -> draft.id() > looked && !draft.actor().equals(who.name()))
                .findFirst()
                .ifPresent(draft -> {
                    throw new ValidationException(
                            "looked",
                            draft.actor() + " " + draft.summary()
                                    + " meanwhile. Look at what moves now, then press again.");
                });
    }

    private List<Entry> draftsAfter(long since) {
        return db.sql("""
                        select c.id, c.at, c.actor, c.summary, false as undone, false as undoes, true as draft, 'ALL' as concerns
                        from change c
                        where c.draft and not c.dropped and c.id > :since and not exists (select 1 from change u where u.undoes = c.id)
                        order by c.id desc""").param("since", since).query(Entry.class).list();
    }

    /**
     * Takes back all changes after that one that were only about the plan, the newest first.
     *
     * @param looked the last change of what was looked at; null where nobody says
     */
    public void discardDraft(long since, @Nullable Long looked) {
        List<Entry> drafts = draftsAfter(since);
        if (looked != null) {
            mustHaveSeen(looked, drafts);
        }
        if (drafts.isEmpty()) {
            throw new ValidationException(
                    "draft", "There is no draft to drop: nothing but the record itself has changed.");
        }
        change("dropped the draft", () -> {
            drafts.forEach(draft -> {
                revert(draft);
                db.sql("update change set dropped = true where id = :id")
                        .param("id", draft.id())
                        .update();
            });
            db.sql("""
                    update change set draft = true, dropped = true
                    where id = current_setting('galecrest.change')::bigint""").update();
        });
    }

    /** Puts back what a change did, within the change that is open. */
    private void revert(Entry entry) {
        Optional<String> stuck = db.sql("select revert_change(:id)")
                .param("id", entry.id())
                .query((row, n) -> Optional.ofNullable(row.getString(1)))
                .single();
        stuck.ifPresent(table -> {
            throw new ValidationException(
                    "undo",
                    "\"" + entry.summary() + "\" cannot be undone: somebody has changed the same since (in "
                            + table.replace('_', ' ') + ").");
        });
    }

    /**
     * Runs a change that reads, judges and writes in one, and says at its end what it was; null where there was nothing to
     * do, and then there is no trace of it. What it throws leaves none either.
     */
    public void judge(Supplier<@Nullable String> change) {
        transaction.executeWithoutResult(status -> {
            long id = open("…", null);
            String summary = change.get();
            if (summary == null) {
                status.setRollbackOnly();
                return;
            }
            db.sql("update change set summary = :summary where id = :id and summary = '…'")
                    .param("summary", summary)
                    .param("id", id)
                    .update();
        });
    }

    /** Says what the change that is open is, before a part of it does: what is said first counts. */
    public void say(String summary) {
        db.sql("""
                        update change set summary = :summary
                        where id = current_setting('galecrest.change')::bigint and summary = '…'""").param("summary", summary).update();
    }

    /** The same of a change that is only about the plan; see {@link #draft}. */
    public void judgeDraft(Supplier<String> change) {
        judge(() -> {
            String summary = change.get();
            markDraft();
            return summary;
        });
    }

    private void markDraft() {
        db.sql("update change set draft = true where id = current_setting('galecrest.change')::bigint")
                .update();
    }

    /** Runs a change whose summary is only known after it. */
    public <T> T change(Supplier<T> change, java.util.function.Function<T, String> summary) {
        return transaction.execute(status -> {
            long id = open("…", null);
            T result = change.get();
            db.sql("update change set summary = :summary where id = :id and summary = '…'")
                    .param("summary", summary.apply(result))
                    .param("id", id)
                    .update();
            return result;
        });
    }

    /**
     * One writer at a time, so that changes become visible in the order of their numbers. A change within a change is
     * part of it.
     */
    private long open(String summary, @Nullable Long undoes) {
        Optional<Long> outer = db.sql("select nullif(current_setting('galecrest.change', true), '')::bigint")
                .query((row, n) -> Optional.ofNullable(row.getObject(1, Long.class)))
                .single();
        if (outer.isPresent()) {
            return outer.get();
        }
        lock();
        long id = db.sql("""
                        insert into change (at, actor, session_id, summary, undoes)
                        values (:at, :actor, :session, :summary, :undoes) returning id""")
                .param("at", Timestamp.from(clock.instant()))
                .param("actor", who.name())
                .param("session", who.session())
                .param("summary", summary)
                .param("undoes", undoes)
                .query(Long.class)
                .single();
        db.sql("select set_config('galecrest.change', :id, true)")
                .param("id", Long.toString(id))
                .query(String.class)
                .single();
        db.sql("select pg_notify(:channel, :id)")
                .param("channel", CHANNEL)
                .param("id", Long.toString(id))
                .query((row, n) -> 0)
                .list();
        return id;
    }

    private void lock() {
        db.sql("select 1 from pg_advisory_xact_lock(7241)").query((row, n) -> 0).list();
    }

    /** The change that undo would take back: the last one of this session that still stands. */
    public Optional<Entry> lastOfSession() {
        return db.sql("""
                        select c.id, c.at, c.actor, c.summary, false as undone, false as undoes, c.draft, 'ALL' as concerns
                        from change c
                        where c.session_id = :session and c.undoes is null
                            and not exists (select 1 from change u where u.undoes = c.id)
                        order by c.id desc limit 1""").param("session", who.session()).query(Entry.class).optional();
    }

    /** Takes the last change of this session back, unless somebody has changed the same since; returns its summary. */
    @AnyHand
    public String undo() {
        return transaction.execute(status -> {
            lock();
            Entry last = lastOfSession()
                    .orElseThrow(
                            () -> new ValidationException("undo", "There is nothing of this session left to undo."));
            open("undid: " + last.summary(), last.id());
            revert(last);
            return last.summary();
        });
    }

    /**
     * The newest lines that somebody of that role may read. Drafts, and what took them back, are for who makes plans.
     *
     * @param before only lines of before that one
     */
    public List<Entry> latest(Role role, long before, int most) {
        return db.sql(
                        "select c.id, c.at, c.actor, c.summary, u.id is not null as undone, c.undoes is not null as undoes,"
                                + " c.draft or coalesce(o.draft, false) as draft, k.concerns from change c" + LOOKED_UP
                                + """
                        where c.id < :before
                            and (:manager or k.concerns <> 'MANAGERS')
                            and (:lead or k.concerns = 'ALL' and not (c.draft or coalesce(o.draft, false)))
                        order by c.id desc
                        limit :most""")
                .param("before", before)
                .param("most", most)
                .param("manager", role == Role.MANAGER)
                .param("lead", role != Role.HAND)
                .query(Entry.class)
                .list();
    }

    public List<Entry> after(long id) {
        return db.sql("select c.id, c.at, c.actor, c.summary, false as undone, c.undoes is not null as undoes,"
                        + " c.draft or coalesce(o.draft, false) as draft, k.concerns from change c" + LOOKED_UP
                        + " where c.id > :id order by c.id")
                .param("id", id)
                .query(Entry.class)
                .list();
    }

    /** Whether the last change was made by this session. */
    public boolean lastIsOfSession() {
        return db.sql("select session_id = :session from change order by id desc limit 1")
                .param("session", who.session())
                .query(Boolean.class)
                .optional()
                .orElse(false);
    }

    /** The number of the last change; 0 before the first. */
    public long last() {
        return db.sql("select coalesce(max(id), 0) from change")
                .query(Long.class)
                .single();
    }
}
