package galecrest.core.plan;

import org.jspecify.annotations.Nullable;

/** Makes schedules of one model, each over the one before, and scores them; counts how many. For one thread. */
final class Maker {
    final Schedule schedule;
    final Scorer scorer;
    private final Model model;
    private @Nullable Floor floor;
    private int steps;

    Maker(Model model) {
        this.model = model;
        schedule = new Schedule(model);
        scorer = new Scorer(model);
    }

    /** The number of schedules made. */
    int steps() {
        return steps;
    }

    /** Counts schedules that were made elsewhere, as in the backward half of a forward-backward pass. */
    void count(int more) {
        steps += more;
    }

    Score make(int[] order, boolean[] choices) {
        schedule.generate(order, choices);
        steps++;
        return scorer.score(schedule);
    }

    /** The score of an order; null where it is certain to be worse than the limit. */
    @Nullable
    Score make(int[] order, boolean[] choices, Score limit) {
        steps++;
        if (floor == null) {
            floor = new Floor(model, scorer);
        }
        floor.begin(limit);
        return schedule.generate(order, choices, floor) ? scorer.score(schedule) : null;
    }

    /** The schedule made last, as a member of a population. */
    Population.Member made(int[] order, boolean[] choices, Score score) {
        return new Population.Member(order, choices, score, Population.mark(schedule));
    }

    /** The plan of a member. */
    Plan plan(Population.Member member) {
        if (schedule.order != member.list() || schedule.choices != member.choices()) {
            schedule.generate(member.list(), member.choices());
        }
        return Finished.plan(schedule, scorer);
    }
}
