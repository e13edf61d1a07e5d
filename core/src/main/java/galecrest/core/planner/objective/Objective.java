package galecrest.core.planner.objective;

import galecrest.core.plan.Plan;
import galecrest.core.plan.Score;
import galecrest.core.plan.ShopSnapshot;
import galecrest.core.planner.calendar.TimeGrid;
import galecrest.core.planner.calendar.WorkingWindows;
import galecrest.core.planner.network.ActivityNetwork;
import galecrest.core.planner.problem.Activity;
import galecrest.core.planner.problem.CrewMode;
import galecrest.core.planner.problem.SchedulingProblem;
import galecrest.core.planner.sgs.Schedule;
import galecrest.core.shop.HouseRules;
import galecrest.core.work.Commitment;
import galecrest.core.work.Job;
import java.time.DayOfWeek;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.TreeSet;
import java.util.stream.IntStream;
import org.jspecify.annotations.Nullable;

/**
 * Scores schedules of one problem by the house rules; see {@link Score} for what each figure means. Everything that does
 * not depend on the schedule is prepared once.
 */
public final class Objective {
    /** Churn is looked at so many working days ahead. */
    private static final int CHURN_DAYS = 5;
    /** Work that moves later than that counts as so much of a person-day. */
    private static final double LATER = 0.05;
    /** Can-follow work that cannot be planned counts as a week late, in hours. */
    private static final double NEVER_HOURS = 40;

    /** The margin of what cannot be planned, in hours. */
    private static final double NEVER_MARGIN = -1000;

    private static final double SLOT_HOURS = TimeGrid.SLOT_MINUTES / 60.0;
    private static final double SLOT_DAYS = SLOT_HOURS / 24;

    private final SchedulingProblem problem;
    private final HouseRules rules;
    private final Date[] dates;
    private final boolean[] opens;
    private final double[] weights;
    private final @Nullable Churn churn;
    private final int[] first;
    private final int[] last;
    private final int[] ready;

    /** A commitment as numbers: the slot it is due at, what it needs, what it desires. */
    private record Date(boolean hard, double weight, int due, int[] needs, int[] desired) {}

    /** Prepares what does not depend on the schedule. */
    public Objective(SchedulingProblem problem) {
        this.problem = problem;
        ShopSnapshot shop = problem.network.shop;
        rules = shop.rules();
        dates = IntStream.range(0, shop.commitments().size())
                .mapToObj(this::date)
                .toArray(Date[]::new);
        opens = new boolean[problem.size];
        for (int node = 0; node < problem.size; node++) {
            opens[node] = problem.network.works.get(node) instanceof Job job && job.onCar();
        }
        weights = shop.builds().stream().mapToDouble(b -> b.weight()).toArray();
        churn = shop.published().map(told -> new Churn(problem, told)).orElse(null);
        first = new int[weights.length];
        last = new int[weights.length];
        ready = new int[weights.length];
    }

    private Date date(int number) {
        Commitment commitment = problem.network.shop.commitments().get(number);
        return new Date(
                commitment.kind().hard(),
                commitment.weight(),
                problem.network.due[number],
                problem.network.needs[number],
                problem.network.desired[number]);
    }

    /** Whether the commitment is hard. */
    boolean hard(int commitment) {
        return dates[commitment].hard;
    }

    /** The weighted lateness of a commitment that is finished at a slot. */
    double lateness(int commitment, int finish) {
        Date date = dates[commitment];
        return finish > Math.max(date.due, 0)
                ? -date.weight * SLOT_HOURS * problem.calendars.margin(finish, date.due)
                : 0;
    }

    /** How heavy the commitment weighs. */
    public double weight(int commitment) {
        return dates[commitment].weight;
    }

    /** Working hours from when the commitment is finished to when it is due; {@link #NEVER_MARGIN} where it never is. */
    public double marginHours(int commitment, Schedule schedule) {
        int finish = 0;
        for (int node : dates[commitment].needs) {
            if (!schedule.planned(node)) {
                return NEVER_MARGIN;
            }
            finish = Math.max(finish, schedule.ready[node]);
        }
        return SLOT_HOURS * problem.calendars.margin(finish, dates[commitment].due);
    }

    /** The builds of what the commitment needs. */
    public Set<Integer> builds(int commitment) {
        Set<Integer> builds = new TreeSet<>();
        for (int node : dates[commitment].needs) {
            builds.add(problem.network.build[node]);
        }
        return builds;
    }

    /** The builds with a date that the schedule has late. */
    public Set<Integer> lateBuilds(Schedule schedule) {
        Set<Integer> late = new TreeSet<>();
        for (int c = 0; c < dates.length; c++) {
            if (late(c, schedule)) {
                late.addAll(builds(c));
            }
        }
        return late;
    }

    /** Whether the schedule has the commitment late. */
    public boolean late(int commitment, Schedule schedule) {
        int finish = 0;
        for (int node : dates[commitment].needs) {
            finish = schedule.planned(node) ? Math.max(finish, schedule.ready[node]) : finish;
        }
        return finish > Math.max(dates[commitment].due, 0);
    }

    /** What the schedule is worth, each figure as {@link Score} tells. */
    public Score score(Schedule schedule) {
        int missing = 0;
        double hard = 0;
        double promised = 0;
        double eaten = 0;
        double follow = 0;
        double buffer = rules.buffer().hours();
        for (Date date : dates) {
            int finish = 0;
            int lacking = 0;
            for (int node : date.needs) {
                if (schedule.planned(node)) {
                    finish = Math.max(finish, schedule.ready[node]);
                } else {
                    lacking++;
                }
            }
            missing += lacking;
            double margin = SLOT_HOURS * problem.calendars.margin(finish, date.due);
            if (lacking == 0 && margin < 0) {
                hard -= date.hard ? date.weight * margin : 0;
                promised -= date.hard ? 0 : date.weight * margin;
            } else if (lacking == 0 && margin < buffer && date.needs.length > 0) {
                eaten += date.weight * (buffer - margin);
            }
            for (int node : date.desired) {
                follow += schedule.planned(node)
                        ? SLOT_HOURS * Math.max(0, -problem.calendars.margin(schedule.ready[node], date.due))
                        : NEVER_HOURS;
            }
        }
        double inBits = 0;
        double finishing = 0;
        Arrays.fill(first, Integer.MAX_VALUE);
        Arrays.fill(last, 0);
        Arrays.fill(ready, 0);
        int early = 0;
        for (int node = 0; node < problem.size; node++) {
            if (schedule.planned(node)) {
                int build = problem.network.build[node];
                ready[build] = Math.max(ready[build], schedule.ready[node]);
                if (opens[node]) {
                    first[build] = Math.min(first[build], schedule.start[node]);
                    last[build] = Math.max(last[build], schedule.end[node]);
                }
            }
            for (ActivityNetwork.Arc arc : problem.before[node]) {
                early += schedule.startsEarly(arc) ? 1 : 0;
            }
        }
        for (int build = 0; build < weights.length; build++) {
            inBits += first[build] == Integer.MAX_VALUE ? 0 : SLOT_DAYS * (last[build] - first[build]);
            finishing += weights[build] * SLOT_DAYS * ready[build];
        }
        return new Score(
                missing,
                hard,
                promised,
                eaten,
                follow,
                rules.atRiskStart() * early,
                churn == null ? 0 : rules.toldOtherwise() * churn.of(schedule),
                rules.carInBits() * inBits,
                rules.finishDay() * finishing);
    }

    /**
     * Person-days told otherwise, the nearer the heavier, and a little for each later piece of work that moves. What a person does on a day is kept as a sum of a random
     * number for each piece of work, which is the same exactly when the work is (up to one chance in 2⁶⁴).
     */
    private static final class Churn {
        private final SchedulingProblem problem;
        private final int[] dayEnds;
        private final double[] nearness;
        private final long[][] told;
        private final long[][] now;
        private final int horizon;
        /** When each node was told to start; {@link WorkingWindows#NEVER} where it was not. */
        private final int[] toldStart;

        Churn(SchedulingProblem problem, Plan published) {
            this.problem = problem;
            TimeGrid grid = problem.grid;
            List<Integer> ends = new ArrayList<>();
            List<Double> weights = new ArrayList<>();
            int ahead = 0;
            int midnight = grid.nextDay(0);
            for (LocalDate day = grid.today(); ahead < CHURN_DAYS; day = day.plusDays(1)) {
                boolean working = day.getDayOfWeek() != DayOfWeek.SATURDAY && day.getDayOfWeek() != DayOfWeek.SUNDAY;
                weights.add(working ? (CHURN_DAYS - ahead++) / (double) CHURN_DAYS : 0);
                ends.add(midnight);
                midnight = grid.nextDay(midnight);
            }
            dayEnds = ends.stream().mapToInt(Integer::intValue).toArray();
            nearness = weights.stream().mapToDouble(Double::doubleValue).toArray();
            horizon = dayEnds[dayEnds.length - 1];
            int people = problem.network.shop.people().size();
            told = new long[people][dayEnds.length];
            now = new long[people][dayEnds.length];
            toldStart = new int[problem.size];
            Arrays.fill(toldStart, WorkingWindows.NEVER);
            Map<Object, Integer> numbers = new HashMap<>();
            problem.network.shop.people().forEach(p -> numbers.put(p.id(), numbers.size()));
            for (Plan.Placed placed : published.placed()) {
                int node = problem.network.node(placed.work());
                if (node >= 0) {
                    toldStart[node] = grid.atOrAfter(placed.start());
                }
                for (var person : placed.crew()) {
                    Integer number = numbers.get(person);
                    if (node >= 0 && number != null) {
                        long[] days = new long[dayEnds.length];
                        placed.at()
                                .forEach(s -> add(days, grid.atOrAfter(s.from()), grid.atOrAfter(s.to()), mark(node)));
                        for (int day = 0; day < days.length; day++) {
                            told[number][day] += days[day];
                        }
                    }
                }
            }
        }

        private static long mark(int node) {
            long z = (node + 1) * 0x9E3779B97F4A7C15L;
            z = (z ^ (z >>> 30)) * 0xBF58476D1CE4E5B9L;
            z = (z ^ (z >>> 27)) * 0x94D049BB133111EBL;
            return z ^ (z >>> 31);
        }

        /** Sets the mark on the days that a stretch touches. */
        private void add(long[] days, int from, int to, long mark) {
            int begin = 0;
            for (int day = 0; day < dayEnds.length; day++) {
                if (from < dayEnds[day] && Math.max(begin, 0) < to && to > 0) {
                    days[day] = mark;
                }
                begin = dayEnds[day];
            }
        }

        double of(Schedule schedule) {
            for (long[] days : now) {
                Arrays.fill(days, 0);
            }
            long[] days = new long[dayEnds.length];
            for (int node = 0; node < problem.size; node++) {
                if (schedule.start[node] >= horizon) {
                    continue;
                }
                CrewMode crew = schedule.crew[node];
                if (crew != null) {
                    Arrays.fill(days, 0);
                    WorkingWindows hours = crew.hours(schedule.station[node], false);
                    for (int w = hours.windowAfter(schedule.start[node]);
                            w < hours.count() && hours.startOf(w) < Math.min(horizon, schedule.end[node]);
                            w++) {
                        add(
                                days,
                                Math.max(schedule.start[node], hours.startOf(w)),
                                Math.min(schedule.end[node], hours.endOf(w)),
                                mark(node));
                    }
                    for (int i = 0; i < crew.pools.length; i++) {
                        int[] members = problem.pools.members(crew.pools[i]);
                        for (int k = 0; k < crew.counts[i]; k++) {
                            sum(now[members[k]], days);
                        }
                    }
                } else if (problem.activities[node] instanceof Activity.DriveActivity) {
                    Arrays.fill(days, 0);
                    int[] drives = schedule.drives[node];
                    for (int i = 0; i < drives.length; i += 2) {
                        add(days, drives[i], drives[i + 1], mark(node));
                    }
                    sum(now[problem.pools.anyOf(schedule.driver[node])], days);
                }
            }
            double sum = 0;
            for (int node = 0; node < problem.size; node++) {
                boolean moved = toldStart[node] != WorkingWindows.NEVER && schedule.start[node] != toldStart[node];
                sum += moved && Math.max(schedule.start[node], toldStart[node]) >= horizon ? LATER : 0;
            }
            for (int person = 0; person < now.length; person++) {
                for (int day = 0; day < dayEnds.length; day++) {
                    sum += now[person][day] == told[person][day] ? 0 : nearness[day];
                }
            }
            return sum;
        }

        private static void sum(long[] all, long[] days) {
            for (int day = 0; day < days.length; day++) {
                all[day] += days[day];
            }
        }
    }
}
