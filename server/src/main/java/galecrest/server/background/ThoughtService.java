package galecrest.server.background;

import com.fasterxml.jackson.core.JsonProcessingException;
import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.ObjectMapper;
import galecrest.core.build.BuildId;
import galecrest.core.plan.Plan;
import galecrest.core.plan.ShopSnapshot;
import galecrest.core.rescue.Move;
import galecrest.core.rescue.MoveEffects;
import galecrest.core.rescue.MoveText;
import galecrest.core.work.Commitment;
import galecrest.server.access.AnyHand;
import galecrest.server.access.CurrentUser;
import galecrest.server.access.ManagerOnly;
import galecrest.server.access.Role;
import galecrest.server.journal.Journal;
import galecrest.server.json.CoreJson;
import galecrest.server.plan.PlanService;
import galecrest.server.problem.NotFoundException;
import galecrest.server.problem.ValidationException;
import galecrest.server.sheet.JobSheetService;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import org.springframework.stereotype.Service;

/** Asking for long thinking, following it, stopping it, and trying what a rescue found. */
@Service
class ThoughtService {

    private final ThoughtRepository queue;
    private final MoveRepository moves;
    private final OddsService odds;
    private final JobSheetService sheets;
    private final PlanService plans;
    private final Journal journal;
    private final CurrentUser who;
    private final ObjectMapper core = CoreJson.mapper();

    ThoughtService(
            ThoughtRepository queue,
            MoveRepository moves,
            OddsService odds,
            JobSheetService sheets,
            PlanService plans,
            Journal journal,
            CurrentUser who) {
        this.queue = queue;
        this.moves = moves;
        this.odds = odds;
        this.sheets = sheets;
        this.plans = plans;
        this.journal = journal;
        this.who = who;
    }

    @AnyHand
    Optional<OddsView> odds() {
        return who.account().role() == Role.HAND ? odds.told() : odds.latest();
    }

    /** What was asked for lately; it is about drafts, which hands do not see. */
    @AnyHand
    List<Thought> asked() {
        return who.account().role() == Role.HAND ? List.of() : queue.asked();
    }

    @ManagerOnly
    String harder(int seconds) {
        return queue.ask(Thought.Kind.HARDER, "", journal.last(), seconds, who.name());
    }

    @ManagerOnly
    String rescue(String commitment) {
        boolean known = plans.current().shop().commitments().stream()
                .anyMatch(c -> c.id().value().equals(commitment));
        if (!known) {
            throw new NotFoundException("commitment");
        }
        return queue.ask(Thought.Kind.RESCUE, commitment, journal.last(), 0, who.name());
    }

    @ManagerOnly
    String promise(String template) {
        sheets.template(template);
        return queue.ask(Thought.Kind.PROMISE, template, journal.last(), 0, who.name());
    }

    @ManagerOnly
    void stop(String id) {
        if (!queue.stop(id) && queue.find(id).isEmpty()) {
            throw new NotFoundException("thought");
        }
    }

    /** Puts moves of a rescue into the record as a draft; what they do is seen in the plan, and can be dropped. */
    @ManagerOnly
    void attempt(String id, int index) {
        Thought thought = queue.find(id).orElseThrow(() -> new NotFoundException("rescue"));
        JsonNode result = thought.result() != null ? thought.result() : thought.progress();
        JsonNode tried = result == null ? null : result.path("tried").get(index);
        if (tried == null) {
            throw new NotFoundException("move");
        }
        List<Move> wanted;
        try {
            wanted = core.treeToValue(tried.get("moves"), RescueView.MoveList.class)
                    .moves();
        } catch (JsonProcessingException e) {
            throw new IllegalStateException("The moves cannot be read.", e);
        }
        Plan standing = plans.current().plan();
        journal.judgeDraft(() -> {
            ShopSnapshot before = plans.shopWithinChange();
            ShopSnapshot after = before;
            for (Move move : wanted) {
                ShopSnapshot with = MoveEffects.apply(after, move);
                if (with.equals(after)) {
                    throw new ValidationException(
                            "index", "What this was about has changed or gone since then; try everything again.");
                }
                after = with;
            }
            moves.save(before, after, wanted);
            // The car makes use of it at once, as it did when it was tried; all else stays where it stood.
            Set<BuildId> car = before.commitments().stream()
                    .filter(c -> c.id().value().equals(thought.subject()))
                    .map(Commitment::build)
                    .collect(Collectors.toSet());
            plans.take(plans.lettingGo(standing, car));
            return "tried: " + String.join("; ", MoveText.say(before, wanted));
        });
    }
}
