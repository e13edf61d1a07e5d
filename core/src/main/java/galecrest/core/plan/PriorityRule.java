package galecrest.core.plan;

/** How serial schedule generation picks the next work among what could be placed; lower keys go first. */
enum PriorityRule {
    /** By latest start: the work that must start soonest to keep the dates. */
    LATEST_START {
        @Override
        double key(Urgency urgency, int node) {
            return urgency.latestStart(node);
        }
    },
    /** By latest finish. */
    LATEST_FINISH {
        @Override
        double key(Urgency urgency, int node) {
            return urgency.latestFinish(node);
        }
    },
    /** By slack against the dates, divided by the weight of what is at stake. */
    WEIGHTED_SLACK {
        @Override
        double key(Urgency urgency, int node) {
            double slack = urgency.slack(node);
            return slack >= 0 ? slack / urgency.weight(node) : slack * urgency.weight(node);
        }
    },
    /** Hard dates before promises, then by latest start. */
    HARD_FIRST {
        @Override
        double key(Urgency urgency, int node) {
            return urgency.latestStart(node) + (urgency.hard(node) ? 0 : Urgency.FAR);
        }
    },
    /** The car with the nearest date first, one car after another. */
    NEAREST_DATE {
        @Override
        double key(Urgency urgency, int node) {
            return urgency.nearestDate(node) * 64.0 + urgency.latestStart(node);
        }
    },
    /** What leads to outside work first. */
    OUTSIDE_FIRST {
        @Override
        double key(Urgency urgency, int node) {
            return urgency.latestStart(node) - (urgency.leadsOutside(node) ? Urgency.WEEK : 0);
        }
    };

    abstract double key(Urgency urgency, int node);
}
