package galecrest.core.planner.repair;

import galecrest.core.planner.calendar.TimeGrid;
import galecrest.core.planner.calendar.WorkingWindows;
import galecrest.core.planner.network.ActivityNetwork;
import galecrest.core.planner.network.CriticalPath;
import galecrest.core.planner.problem.Activity;
import galecrest.core.planner.problem.CrewMode;
import galecrest.core.planner.problem.SchedulingProblem;
import galecrest.core.planner.repair.Timetable.Place;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.Comparator;
import java.util.HashSet;
import java.util.List;
import java.util.Objects;
import java.util.PriorityQueue;
import java.util.Set;
import org.jspecify.annotations.Nullable;

/**
 * Finds places for what is unsettled by letting few others move: it takes the place of others, which take the place of
 * others again, until the last of them find room that is free (ejection chains: Glover, 1996). What follows too closely on
 * something that comes later counts among those who must move. Of the chains begun, the one that promises to move least is
 * gone on with. Nothing of it hangs on luck.
 */
final class EjectionChain {
    /** Of the places for a piece of work so many are tried, those whose work in the way is easiest to move. */
    private static final int TRIED = 10;
    /** A place at which more than that is in the way is none. */
    private static final int MOST_IN_THE_WAY = 6;
    /** No more pieces of work than that get another place, be it ever so little another. */
    private static final int LONGEST = 30;
    /** No more than so much is moved, as {@link RepairCost#weight} counts it: twelve jobs of other cars. */
    private static final int MOST_WEIGHT = 12 * RepairCost.WHOLE;
    /** However late a place is, it counts no more than so many moves. */
    private static final int MOST_LATE = 8 * RepairCost.WHOLE;
    /** Work may come up to so much later than it stood, whatever follows: five days, in slots. */
    private static final int LATER = 5 * 288;
    /** So many slots at which a place may begin are looked at for one crew. */
    private static final int MOST_STARTS = 600;
    /** To go on with a chain takes as long as so many looks at a place. */
    private static final int LOOKS_A_STEP = 500;
    /** What finds room by itself is easy to move; what does not counts as so many that are. */
    private static final int EASY = 1;

    private static final int HARD = 3;

    private final SchedulingProblem problem;
    private final CriticalPath urgency;
    private final RepairCost cost;
    private final Timetable timetable;
    /** The place of each node in the order in which they follow one another. */
    private final int[] turn;
    /** How hard each node is to move, once that was asked; else 0. */
    private final int[] ease;

    private final int[] starts = new int[MOST_STARTS];
    private final PriorityQueue<Begun> open = new PriorityQueue<>(Comparator.comparingInt(Begun::hoped)
            .thenComparingInt(b -> b.unsettled().size())
            .thenComparingInt(Begun::number));
    /** The chain by which the timetable stands. */
    private Begun at;

    private int begun;
    private long looks;

    EjectionChain(Unsettled unsettled, CriticalPath urgency, RepairCost cost) {
        timetable = unsettled.timetable();
        this.urgency = urgency;
        this.cost = cost;
        problem = timetable.problem;
        ease = new int[problem.size];
        turn = new int[problem.size];
        int[] order = problem.network.inOrder();
        for (int i = 0; i < order.length; i++) {
            turn[order[i]] = i;
        }
        at = new Begun(null, null, List.of(), false, inTurn(unsettled.nodes()), 0, 0, 0, 0, 0);
        open.add(at);
    }

    private List<Integer> inTurn(List<Integer> nodes) {
        return nodes.stream().sorted(Comparator.comparingInt(n -> turn[n])).toList();
    }

    /**
     * A chain begun: one with a step more.
     *
     * @param choice the step
     * @param left where the nodes that made way for it had stood
     * @param movable whether its node was movable before
     * @param unsettled what is without a place still, in the order in which they follow one another
     * @param weight what it has moved so far
     * @param late what that is late by, as far as is known before all have their places; counted like the weight
     * @param hoped what it may come to
     */
    private record Begun(
            @Nullable Begun before,
            @Nullable Choice choice,
            List<Place> left,
            boolean movable,
            List<Integer> unsettled,
            int weight,
            int late,
            int hoped,
            int length,
            int number) {
        Place place() {
            return Objects.requireNonNull(choice).place();
        }
    }

    /** A place for a node, the nodes in its way there, what moving it counts, and how hard these are to move. */
    private record Choice(Place place, int[] inTheWay, int weight, int late, int hard, int far) {}

    /**
     * The places of a chain; empty where none was found.
     *
     * @param most looks at a place, counted over all calls; what else is done counts in these too. A later call goes on
     *     where the one before ended
     */
    List<Place> find(long most) {
        while (!open.isEmpty() && looks < most) {
            Begun next = open.remove();
            if (next.unsettled().isEmpty()) {
                return places(next);
            }
            looks += LOOKS_A_STEP;
            goTo(next);
            goOn(next, next.unsettled().get(0));
        }
        return List.of();
    }

    private static List<Place> places(Begun chain) {
        List<Place> all = new ArrayList<>();
        for (Begun b = chain; b != null && b.choice() != null; b = b.before()) {
            all.add(b.place());
        }
        return all;
    }

    /** Changes the timetable from the chain that it stands by to another: back to where they part, and on from there. */
    private void goTo(Begun chain) {
        List<Begun> on = new ArrayList<>();
        Begun to = chain;
        while (to != at) {
            if (to.length() > at.length()) {
                on.add(to);
                to = Objects.requireNonNull(to.before());
            } else {
                timetable.take(at.place().node());
                timetable.movable[at.place().node()] = at.movable();
                at.left().forEach(timetable::put);
                at = Objects.requireNonNull(at.before());
            }
        }
        for (int i = on.size() - 1; i >= 0; i--) {
            on.get(i).left().forEach(other -> timetable.take(other.node()));
            timetable.put(on.get(i).place());
            timetable.movable[on.get(i).place().node()] = false;
        }
        at = chain;
    }

    /** Adds the chains that go on from this one with the easiest places for the node. */
    private void goOn(Begun chain, int node) {
        List<Choice> choices = choices(node);
        choices.sort(Comparator.<Choice>comparingInt(c -> c.hard() * RepairCost.WHOLE + c.late())
                .thenComparingInt(Choice::weight)
                .thenComparingInt(Choice::far));
        Set<List<Object>> kinds = new HashSet<>();
        for (int i = 0; i < choices.size() && kinds.size() < TRIED; i++) {
            Choice choice = choices.get(i);
            List<Integer> others =
                    Arrays.stream(choice.inTheWay()).sorted().boxed().toList();
            if (kinds.add(List.of(choice.place().crew(), others, choice.weight()))) {
                add(chain, choice, others);
            }
        }
    }

    private void add(Begun chain, Choice choice, List<Integer> others) {
        List<Integer> unsettled =
                new ArrayList<>(chain.unsettled().subList(1, chain.unsettled().size()));
        unsettled.addAll(others);
        int weight = chain.weight() + choice.weight();
        int late = chain.late() + choice.late();
        if (weight <= MOST_WEIGHT && chain.length() + unsettled.size() < LONGEST) {
            open.add(new Begun(
                    chain,
                    choice,
                    others.stream().map(timetable::placeOf).toList(),
                    timetable.movable[choice.place().node()],
                    inTurn(unsettled),
                    weight,
                    late,
                    weight + late + hoped(unsettled),
                    chain.length() + 1,
                    ++begun));
        }
    }

    private int hoped(List<Integer> nodes) {
        int sum = 0;
        for (int node : nodes) {
            sum += cost.weight(node) * (ease[node] == HARD ? HARD : EASY);
        }
        return sum;
    }

    private List<Choice> choices(int node) {
        List<Choice> all = new ArrayList<>();
        places(node, MOST_IN_THE_WAY, (place, others) -> {
            int weight = cost.moves(node, place.start(), place.crew()) ? cost.weight(node) : 0;
            int far = Math.abs(place.start() - Math.max(0, problem.told[node]));
            return all.add(new Choice(place, others, weight, late(place), 0, far));
        });
        all.replaceAll(c -> new Choice(c.place(), c.inTheWay(), c.weight(), c.late(), hard(c.inTheWay()), c.far()));
        return all;
    }

    /** By how much later than its dates allow, and than it stood, the place begins, in weighted hours as moves. */
    private int late(Place place) {
        int told = problem.told[place.node()];
        WorkingWindows open = problem.calendars.shopHours();
        double allowed = Math.max(urgency.latestStart(place.node()), told < 0 ? 0 : open.workBefore(told));
        double hours = (open.workBefore(place.start()) - allowed) * TimeGrid.SLOT_MINUTES / 60.0;
        return hours <= 0 ? 0 : (int) Math.min(MOST_LATE, hours * urgency.weight(place.node()) * RepairCost.WHOLE);
    }

    private int hard(int[] nodes) {
        int sum = 0;
        for (int node : nodes) {
            sum += ease(node);
        }
        return sum;
    }

    /** Whether the node would find room by itself, as all stood when that was asked first. */
    private int ease(int node) {
        if (ease[node] == 0) {
            Place was = timetable.take(node);
            ease[node] = HARD;
            places(node, 0, (place, others) -> {
                boolean same = place.start() == was.start() && place.crew() == was.crew();
                ease[node] = same ? HARD : EASY;
                return same;
            });
            timetable.put(was);
        }
        return ease[node];
    }

    /** Is shown a place, and the nodes in the way there; says whether to go on. */
    private interface Shown {
        boolean goOn(Place place, int[] inTheWay);
    }

    /** Shows the places for a node by each crew at each station, until the first at which nothing is in the way. */
    private void places(int node, int mostInTheWay, Shown shown) {
        Activity.JobActivity job = (Activity.JobActivity) problem.activities[node];
        Timetable.InTheWay inTheWay = timetable.new InTheWay(mostInTheWay);
        boolean frozen = job.told() != null && job.told().frozen();
        int earliest = Math.max(timetable.earliest(node), frozen ? problem.told[node] : 0);
        int latest = latest(node, earliest);
        for (CrewMode crew : problem.listedCrews[node]) {
            for (int station : problem.listedStations[node]) {
                WorkingWindows hours = crew.hours(station, false);
                int count = starts(node, crew, station, earliest, latest);
                boolean free = false;
                for (int i = 0, before = -1; i < count && !free; i++) {
                    int start = hours.next(starts[i]);
                    Place place = start == before ? null : timetable.place(node, job, crew, station, start);
                    before = start;
                    looks += place == null ? 0 : 1;
                    int[] others = place == null ? null : inTheWay.of(place);
                    if (others != null && !shown.goOn(place, others)) {
                        return;
                    }
                    free = others != null && others.length == 0 && start != problem.told[node];
                }
            }
        }
    }

    /** Sorts the slots at which a place may begin: as soon as can be, as it stood, and where others begin or are through. */
    private int starts(int node, CrewMode crew, int station, int earliest, int latest) {
        starts[0] = earliest;
        int count = 1;
        if (problem.told[node] > earliest) {
            starts[count++] = problem.told[node];
        }
        count = timetable.edges(crew, station, earliest, latest, starts, count);
        Arrays.sort(starts, 0, count);
        return count;
    }

    /** Until when a place may begin: until what follows, or the date where nothing does; and some days later in any case. */
    private int latest(int node, int earliest) {
        int next = WorkingWindows.NEVER;
        for (ActivityNetwork.Arc arc : problem.after[node]) {
            Timetable.Times then = timetable.times[arc.to()];
            next = then == null ? next : Math.min(next, then.start());
        }
        double due = urgency.latestStart(node);
        if (next == WorkingWindows.NEVER && due < CriticalPath.FAR / 2) {
            next = problem.calendars.shopHours().finish(0, Math.max(1, (int) due + 1));
        }
        return Math.min(problem.slots, Math.max(next, Math.max(earliest, problem.told[node]) + LATER));
    }
}
