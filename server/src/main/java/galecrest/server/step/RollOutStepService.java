package galecrest.server.step;

import galecrest.core.rollout.ChannelLimit;
import galecrest.core.rollout.RollOutStep;
import galecrest.core.rollout.UsualSteps;
import galecrest.core.shop.Problem;
import galecrest.server.NewId;
import galecrest.server.access.AnyHand;
import galecrest.server.access.LeadOrManager;
import galecrest.server.access.ManagerOnly;
import galecrest.server.journal.Journal;
import galecrest.server.problem.ValidationException;
import galecrest.server.shop.HouseList;
import galecrest.server.shop.NameRepository;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Service;

/** The steps of a roll-out: of a car, else of its discipline, else of the house, else as they usually are. */
@Service
public class RollOutStepService {
    private static final int MOST = 40;
    private static final int LONGEST = 160;

    private final HouseList<RollOutStep> lists;

    RollOutStepService(RollOutStepRepository record, NameRepository names, Journal journal) {
        lists = new HouseList<>(record, UsualSteps.ALL, "the steps of the roll-out", names, journal);
    }

    /** The steps that hold for a car. */
    public List<RollOutStep> of(String build) {
        return lists.of(build);
    }

    @AnyHand
    StepsResponse house(String discipline) {
        return StepsResponse.of(lists.shown(null, discipline));
    }

    @AnyHand
    StepsResponse car(String build) {
        return StepsResponse.of(lists.shown(build, ""));
    }

    @ManagerOnly
    void changeHouse(String discipline, StepsRequest form) {
        lists.change(null, discipline, form.edition(), read(form));
    }

    @ManagerOnly
    void usual(String discipline) {
        lists.forget(null, discipline);
    }

    @LeadOrManager
    void changeCar(String build, StepsRequest form) {
        lists.change(build, "", form.edition(), read(form));
    }

    @LeadOrManager
    void asTheHouse(String build) {
        lists.forget(build, "");
    }

    private static List<RollOutStep> read(StepsRequest form) {
        List<StepRequest> asked = form.steps() == null ? List.of() : form.steps();
        List<Problem> problems = new ArrayList<>();
        if (asked.isEmpty() || asked.size() > MOST) {
            problems.add(new Problem("steps", "Leave 1 to " + MOST + " steps."));
        }
        Set<String> keys = new HashSet<>();
        List<RollOutStep> steps = new ArrayList<>();
        for (int i = 0; i < asked.size(); i++) {
            steps.add(step(asked.get(i), "steps[" + i + "].", keys, problems));
        }
        ValidationException.throwIfAny(problems);
        return steps;
    }

    private static RollOutStep step(StepRequest form, String place, Set<String> keys, List<Problem> problems) {
        String name = line(form.name(), place + "name", problems);
        if (name.isEmpty()) {
            problems.add(new Problem(place + "name", "What is the step called?"));
        }
        String key = form.key() == null || form.key().isBlank() ? NewId.next() : form.key();
        if (!keys.add(key)) {
            problems.add(new Problem(place + "name", "The step is there twice."));
        }
        List<ChannelLimit> channels = new ArrayList<>();
        for (String text : form.channels() == null ? List.<String>of() : form.channels()) {
            if (!text.isBlank()) {
                try {
                    channels.add(ChannelLimit.read(text));
                } catch (IllegalArgumentException unreadable) {
                    problems.add(new Problem(place + "channels", unreadable.getMessage()));
                }
            }
        }
        return new RollOutStep(
                key,
                name,
                line(form.limits(), place + "limits", problems),
                Optional.ofNullable(form.gate()),
                lines(form.before(), place + "before", problems),
                lines(form.after(), place + "after", problems),
                channels);
    }

    /** Checks, each once and on a line of its own. */
    private static List<String> lines(@Nullable List<String> said, String place, List<Problem> problems) {
        return (said == null ? List.<String>of() : said)
                .stream()
                        .map(t -> line(t, place, problems))
                        .filter(t -> !t.isEmpty())
                        .distinct()
                        .toList();
    }

    private static String line(@Nullable String said, String place, List<Problem> problems) {
        String text = said == null ? "" : said.strip();
        if (text.length() > LONGEST || text.indexOf('\n') >= 0) {
            problems.add(new Problem(place, "At most " + LONGEST + " letters, on one line."));
        }
        return text;
    }
}
