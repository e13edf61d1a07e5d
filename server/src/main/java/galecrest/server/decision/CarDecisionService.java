package galecrest.server.decision;

import galecrest.core.money.Amount;
import galecrest.server.NewId;
import galecrest.server.access.AnyHand;
import galecrest.server.access.CurrentUser;
import galecrest.server.access.LeadOrManager;
import galecrest.server.access.Role;
import galecrest.server.journal.Journal;
import galecrest.server.problem.NotFoundException;
import galecrest.server.problem.ValidationException;
import java.time.Clock;
import java.util.List;
import org.springframework.stereotype.Service;

/** Decisions about a car: asked with what could be chosen and by when, and kept with what was said. */
@Service
class CarDecisionService {

    private final CarDecisionRepository decisions;
    private final Journal journal;
    private final CurrentUser who;
    private final Clock clock;

    CarDecisionService(CarDecisionRepository decisions, Journal journal, CurrentUser who, Clock clock) {
        this.decisions = decisions;
        this.journal = journal;
        this.who = who;
        this.clock = clock;
    }

    /** Those that are open first, the most urgent first of them. */
    @AnyHand
    List<CarDecisionResponse> of(String build) {
        var options = decisions.options(build);
        return decisions.decisions(build).stream()
                .map(d -> new CarDecisionResponse(
                        d.id(),
                        d.question(),
                        d.asked(),
                        d.due(),
                        who.account().role() == Role.HAND
                                ? options.getOrDefault(d.id(), List.of()).stream()
                                        .map(CarDecisionResponse.OptionView::withoutPrice)
                                        .toList()
                                : options.getOrDefault(d.id(), List.of()),
                        d.chosen(),
                        d.kept(),
                        d.note(),
                        d.decidedAt(),
                        d.decidedBy()))
                .toList();
    }

    @LeadOrManager
    String ask(String build, CarDecisionRequest form) {
        for (int i = 0; i < form.options().size(); i++) {
            if (!Amount.isPrice(form.options().get(i).price())) {
                throw new ValidationException("options." + i, Amount.PRICE);
            }
        }
        return journal.change("to decide: " + form.question().strip(), () -> {
            String id = NewId.next();
            decisions.insert(id, build, form, clock.instant());
            return id;
        });
    }

    /** Anybody may ask the lead, at a job; it is to be decided today. */
    @AnyHand
    String askAt(String work, String question) {
        return journal.change(
                () -> {
                    CarDecisionRepository.AskedAt at =
                            decisions.askedAt(work).orElseThrow(() -> new NotFoundException("job"));
                    String id = NewId.next();
                    decisions.insert(
                            id,
                            at.buildId(),
                            new CarDecisionRequest(
                                    at.name() + ": " + question.strip(),
                                    "the lead, by " + who.name(),
                                    clock.instant(),
                                    List.of()),
                            clock.instant());
                    return id;
                },
                id -> "asked: " + question.strip());
    }

    @LeadOrManager
    void decide(String id, DecideRequest form) {
        journal.judge(() -> {
            String question = decisions.open(id).orElseThrow(() -> new NotFoundException("open decision"));
            decisions.decide(id, form, who.name(), clock.instant());
            return "decided " + question + ": " + form.chosen().strip();
        });
    }

    @LeadOrManager
    void remove(String id) {
        journal.change("took a decision off the list", () -> {
            if (!decisions.delete(id)) {
                throw new NotFoundException("decision");
            }
        });
    }
}
