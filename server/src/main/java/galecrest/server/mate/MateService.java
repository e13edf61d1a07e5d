package galecrest.server.mate;

import galecrest.core.mate.Bolts;
import galecrest.core.mate.JointSideParser;
import galecrest.core.mate.ThreadSize;
import galecrest.core.mate.Threads;
import galecrest.core.shop.Problem;
import galecrest.server.access.AnyHand;
import galecrest.server.access.LeadOrManager;
import galecrest.server.journal.Journal;
import galecrest.server.problem.NotFoundException;
import galecrest.server.problem.ValidationException;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import org.springframework.stereotype.Service;

/** Both sides of the joints of a part, written down before anything is ordered; how their bolts are tightened. */
@Service
class MateService {
    /** More than any part meets. */
    private static final int MOST = 60;

    private final MateRepository record;
    private final Journal journal;

    MateService(MateRepository record, Journal journal) {
        this.record = record;
        this.journal = journal;
    }

    @LeadOrManager
    void save(String id, List<MateRequest> mates) {
        if (mates.size() > MOST) {
            throw new ValidationException("mates", "At most " + MOST + " joints of one part.");
        }
        List<Problem> problems = new ArrayList<>();
        for (int i = 0; i < mates.size(); i++) {
            var mate = mates.get(i);
            side(i + ".carSide", mate, mate.carSide()).ifPresent(problems::add);
            side(i + ".partSide", mate, mate.partSide()).ifPresent(problems::add);
        }
        ValidationException.throwIfAny(problems);
        journal.judge(() -> {
            String part = record.nameOfPart(id).orElseThrow(() -> new NotFoundException("part"));
            record.save(id, mates);
            return "wrote down what " + part + " meets";
        });
    }

    private static Optional<Problem> side(String field, MateRequest mate, String text) {
        try {
            JointSideParser.read(mate.kind(), text);
            return Optional.empty();
        } catch (JointSideParser.Unreadable unreadable) {
            return Optional.of(new Problem(field, unreadable.getMessage()));
        }
    }

    @AnyHand
    BoltResponse bolt(String name, Bolts.PropertyClass strength, Bolts.Lubrication lubrication) {
        ThreadSize thread = Threads.read(name)
                .orElseThrow(() -> new ValidationException(
                        "thread", "\"" + name + "\" is no thread of the tables; write M12x1.25."));
        if (thread.series() != ThreadSize.Series.METRIC) {
            throw new ValidationException(
                    "thread", "Property classes are those of metric bolts; for an inch bolt go by its maker.");
        }
        Bolts.Tightening t = Bolts.of(thread, strength, lubrication);
        return new BoltResponse(thread.name(), t.stressArea(), t.proofLoad(), t.preload(), t.torque());
    }
}
