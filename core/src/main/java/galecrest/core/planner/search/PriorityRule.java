package galecrest.core.planner.search;

import galecrest.core.planner.network.CriticalPath;

/** How serial schedule generation picks the next work among what could be placed; lower keys go first. */
public enum PriorityRule {
    /** By latest start: the work that must start soonest to keep the dates. */
    LATEST_START {
        @Override
        public double key(CriticalPath urgency, int node) {
            return urgency.latestStart(node);
        }
    },
    /** By latest finish. */
    LATEST_FINISH {
        @Override
        public double key(CriticalPath urgency, int node) {
            return urgency.latestFinish(node);
        }
    },
    /** By slack against the dates, divided by the weight of what is at stake. */
    WEIGHTED_SLACK {
        @Override
        public double key(CriticalPath urgency, int node) {
            double slack = urgency.slack(node);
            return slack >= 0 ? slack / urgency.weight(node) : slack * urgency.weight(node);
        }
    },
    /** Hard dates before promises, then by latest start. */
    HARD_FIRST {
        @Override
        public double key(CriticalPath urgency, int node) {
            return urgency.latestStart(node) + (urgency.hard(node) ? 0 : CriticalPath.FAR);
        }
    },
    /** The car with the nearest date first, one car after another. */
    NEAREST_DATE {
        @Override
        public double key(CriticalPath urgency, int node) {
            return urgency.nearestDate(node) * 64.0 + urgency.latestStart(node);
        }
    },
    /** What leads to outside work first. */
    OUTSIDE_FIRST {
        @Override
        public double key(CriticalPath urgency, int node) {
            return urgency.latestStart(node) - (urgency.leadsOutside(node) ? CriticalPath.WEEK : 0);
        }
    };

    /** What a node is ordered by, the smallest first. */
    public abstract double key(CriticalPath urgency, int node);
}
