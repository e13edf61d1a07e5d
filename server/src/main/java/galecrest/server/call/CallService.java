package galecrest.server.call;

import galecrest.server.NewId;
import galecrest.server.access.AnyHand;
import galecrest.server.access.CurrentUser;
import galecrest.server.access.LeadOrManager;
import galecrest.server.journal.Journal;
import galecrest.server.problem.NotFoundException;
import galecrest.server.problem.ValidationException;
import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.util.List;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Service;

/** Calls are promised, answered, and noted when they come in. */
@Service
class CallService {
    /** The very same within so long is one call, sent twice. */
    private static final Duration SAME = Duration.ofMinutes(1);

    private final CallRepository calls;
    private final Journal journal;
    private final CurrentUser who;
    private final Clock clock;

    CallService(CallRepository calls, Journal journal, CurrentUser who, Clock clock) {
        this.calls = calls;
        this.journal = journal;
        this.who = who;
        this.clock = clock;
    }

    @LeadOrManager
    List<CallResponse> all() {
        return calls.calls();
    }

    /** Notes a call that came in, promises one, or both; anybody may answer the telephone. */
    @AnyHand
    void add(CallRequest form) {
        String said = form.said() == null ? "" : form.said().strip();
        if (said.isEmpty() && form.due() == null) {
            throw new ValidationException("said", "What was said, or for when is a call promised?");
        }
        journal.judge(() -> {
            Instant now = clock.instant();
            if (calls.isNoted(form.who().strip(), form.about().strip(), said, form.due(), now.minus(SAME))) {
                throw new ValidationException("said", "That is written down already, a moment ago.");
            }
            if (!said.isEmpty()) {
                String id = NewId.next();
                calls.promise(
                        id, form.buildId(), form.who().strip(), form.about().strip(), now);
                calls.done(id, said, who.name(), now);
            }
            promise(form.buildId(), form.who(), form.about(), form.due());
            return said.isEmpty()
                    ? "promised to ring " + form.who().strip()
                    : form.who().strip() + " rang: " + said;
        });
    }

    private void promise(@Nullable String build, String whom, String about, @Nullable Instant due) {
        if (due != null) {
            calls.promise(NewId.next(), build, whom.strip(), about.strip(), due);
        }
    }

    @LeadOrManager
    void answered(String id, AnsweredRequest form) {
        journal.judge(() -> {
            CallResponse call = calls.open(id).orElseThrow(() -> new NotFoundException("call"));
            calls.done(id, form.said().strip(), who.name(), clock.instant());
            promise(call.buildId(), call.who(), call.about(), form.next());
            return "rang " + call.who()
                    + (form.said().isBlank() ? "" : ": " + form.said().strip());
        });
    }
}
