package galecrest.core.tyre;

import galecrest.core.gauge.LinearLibrary;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Collectors;
import org.ojalgo.optimisation.Expression;
import org.ojalgo.optimisation.ExpressionsBasedModel;
import org.ojalgo.optimisation.Optimisation;
import org.ojalgo.optimisation.Variable;

/**
 * Allocates sets of tyres to sessions so that the freshest serve where the grid and the race are decided. Each use of a set is a
 * heat cycle, so that its second session finds it less fresh than its first. Solved as an integer programme by a library.
 */
public final class TyrePlanner {
    /** A set is as good as dead after so many heat cycles: common practice for slicks, a judgement of ours. */
    private static final double LIFE_CYCLES = 12;
    /** What a new set that was not scuffed is worth in a race against a scuffed one: it goes off sooner. */
    private static final double NOT_SCUFFED = 0.9;

    private static final double HALF = 0.5;

    private final List<TyreSet> dry;
    private final List<TyreSet> wet;
    private final List<Session> sessions;

    static {
        LinearLibrary.quiet();
    }

    /**
     * A planner.
     *
     * @param sets those that may be taken along, wet ones too
     * @param sessions in any order
     */
    public TyrePlanner(List<TyreSet> sets, List<Session> sessions) {
        this.dry = sets.stream().filter(s -> s.kind() == TyreSet.Kind.DRY).toList();
        this.wet = sets.stream().filter(s -> s.kind() == TyreSet.Kind.WET).toList();
        this.sessions =
                sessions.stream().sorted(Comparator.comparing(Session::start)).toList();
    }

    /**
     * What a set is worth in a session: where something is decided the fresher it is, elsewhere the less of a fresh one it
     * uses up.
     *
     * @param use its how-manieth session of the event that is, from 1
     */
    public static double worth(TyreSet set, Session session, int use) {
        double fresh = Math.max(0.02, 1 - (set.cycles() + use - 1) / LIFE_CYCLES);
        if (!session.kind().decides()) {
            return session.kind().weight() * (1 - fresh);
        }
        boolean raw = set.isNew() && use == 1 && session.kind() == Session.Kind.RACE;
        return session.kind().weight() * fresh * (raw ? NOT_SCUFFED : 1);
    }

    /**
     * The plan that is worth most.
     *
     * @param locked the set of a session, by the ids of both, that somebody chose by hand
     */
    public TyrePlan plan(TyreRules rules, Map<String, String> locked) {
        Optional<int[]> found = solve(rules, locked);
        if (found.isEmpty()) {
            return new TyrePlan(List.of(), List.of(), wet, why(rules, locked));
        }
        return plan(found.get(), locked);
    }

    /** The set of each session by its place in the list; empty where there is none that keeps all rules. */
    private Optional<int[]> solve(TyreRules rules, Map<String, String> locked) {
        if (sessions.isEmpty()) {
            return Optional.of(new int[0]);
        }
        ExpressionsBasedModel model = new ExpressionsBasedModel();
        Variable[][][] serves = new Variable[sessions.size()][dry.size()][rules.uses()];
        Variable[] taken = new Variable[dry.size()];
        for (int i = 0; i < dry.size(); i++) {
            taken[i] = model.newVariable("taken " + i).binary();
            for (int s = 0; s < sessions.size(); s++) {
                for (int use = 0; use < rules.uses(); use++) {
                    serves[s][i][use] = model.newVariable(s + " by " + i + " use " + use)
                            .binary()
                            .weight(worth(dry.get(i), sessions.get(s), use + 1));
                }
            }
        }
        everySessionHasOne(model, serves, locked);
        usesComeInTheirOrder(model, serves, rules);
        withinTheClass(model, serves, taken, rules);
        Optimisation.Result result = model.maximise();
        if (!result.getState().isFeasible()) {
            return Optional.empty();
        }
        int[] sets = new int[sessions.size()];
        for (int s = 0; s < sets.length; s++) {
            sets[s] = -1;
            for (int i = 0; i < dry.size(); i++) {
                for (Variable v : serves[s][i]) {
                    if (v.getValue().doubleValue() > HALF) {
                        sets[s] = i;
                    }
                }
            }
        }
        // What the library calls feasible is looked through: now and then it is not.
        return keeps(sets, rules) ? Optional.of(sets) : Optional.empty();
    }

    /** Whether every session has a set, and all rules are kept. */
    private boolean keeps(int[] sets, TyreRules rules) {
        Map<Integer, List<Session>> served = new HashMap<>();
        for (int s = 0; s < sets.length; s++) {
            Session session = sessions.get(s);
            if (sets[s] < 0 || served.getOrDefault(sets[s], List.of()).stream().anyMatch(session::overlaps)) {
                return false;
            }
            served.computeIfAbsent(sets[s], i -> new ArrayList<>()).add(session);
        }
        return served.size() <= rules.mostSets()
                && served.values().stream().allMatch(all -> all.size() <= rules.uses())
                && served.keySet().stream().filter(i -> dry.get(i).isNew()).count() <= rules.mostNew();
    }

    private void everySessionHasOne(ExpressionsBasedModel model, Variable[][][] serves, Map<String, String> locked) {
        for (int s = 0; s < sessions.size(); s++) {
            Expression one = model.newExpression("one " + s).level(1);
            String lock = locked.get(sessions.get(s).id());
            for (int i = 0; i < dry.size(); i++) {
                for (Variable v : serves[s][i]) {
                    one.set(v, 1);
                    if (lock != null && !dry.get(i).id().equals(lock)) {
                        v.upper(0);
                    }
                }
            }
            for (int other = s + 1; other < sessions.size(); other++) {
                if (sessions.get(s).overlaps(sessions.get(other))) {
                    for (int i = 0; i < dry.size(); i++) {
                        Expression apart = model.newExpression("apart " + s + " " + other + " " + i)
                                .upper(1);
                        for (int use = 0; use < serves[s][i].length; use++) {
                            apart.set(serves[s][i][use], 1).set(serves[other][i][use], 1);
                        }
                    }
                }
            }
        }
    }

    /** A use happens once, and only where the use before it has happened in an earlier session. */
    private void usesComeInTheirOrder(ExpressionsBasedModel model, Variable[][][] serves, TyreRules rules) {
        for (int i = 0; i < dry.size(); i++) {
            for (int use = 0; use < rules.uses(); use++) {
                Expression once = model.newExpression("once " + i + " " + use).upper(1);
                for (int s = 0; s < sessions.size(); s++) {
                    once.set(serves[s][i][use], 1);
                    if (use > 0) {
                        Expression before = model.newExpression("before " + s + " " + i + " " + use)
                                .upper(0);
                        before.set(serves[s][i][use], 1);
                        for (int earlier = 0; earlier < s; earlier++) {
                            before.set(serves[earlier][i][use - 1], -1);
                        }
                    }
                }
            }
        }
    }

    private void withinTheClass(ExpressionsBasedModel model, Variable[][][] serves, Variable[] taken, TyreRules rules) {
        Expression all = model.newExpression("sets").upper(rules.mostSets());
        Expression fresh = model.newExpression("new").upper(rules.mostNew());
        for (int i = 0; i < dry.size(); i++) {
            all.set(taken[i], 1);
            if (dry.get(i).isNew()) {
                fresh.set(taken[i], 1);
            }
            for (int s = 0; s < sessions.size(); s++) {
                Expression only =
                        model.newExpression("only " + s + " " + i).upper(0).set(taken[i], -1);
                for (Variable v : serves[s][i]) {
                    only.set(v, 1);
                }
            }
        }
    }

    private TyrePlan plan(int[] sets, Map<String, String> locked) {
        int[] uses = new int[dry.size()];
        List<TyrePlan.Served> served = new ArrayList<>();
        List<TyreSet> scuff = new ArrayList<>();
        for (int s = 0; s < sets.length; s++) {
            TyreSet set = dry.get(sets[s]);
            Session session = sessions.get(s);
            int use = ++uses[sets[s]];
            boolean lock = set.id().equals(locked.get(session.id()));
            served.add(new TyrePlan.Served(session, set, use, lock, because(s, sets, use, lock)));
            if (use == 1 && set.isNew() && session.kind() == Session.Kind.RACE) {
                scuff.add(set);
            }
        }
        return new TyrePlan(served, scuff, wet, List.of());
    }

    /** Why a session has its set: where those serve that are fresher. */
    private String because(int s, int[] sets, int use, boolean locked) {
        TyreSet set = dry.get(sets[s]);
        String state = set.isNew() && use == 1
                ? "new"
                : (set.cycles() + use - 1) + (set.cycles() + use - 1 == 1 ? " cycle" : " cycles");
        if (locked) {
            return state + ", chosen by hand";
        }
        Map<String, List<String>> fresher = new HashMap<>();
        for (int other = 0; other < sets.length; other++) {
            TyreSet its = dry.get(sets[other]);
            if (sets[other] != sets[s]
                    && its.cycles() < set.cycles() + use - 1
                    && sessions.get(other).kind().weight()
                            > sessions.get(s).kind().weight()) {
                fresher.computeIfAbsent(its.name(), n -> new ArrayList<>())
                        .add(sessions.get(other).name());
            }
        }
        if (fresher.isEmpty()) {
            return state + ", the freshest that is left";
        }
        return state + "; fresher ones serve "
                + fresher.values().stream()
                        .flatMap(List::stream)
                        .distinct()
                        .sorted()
                        .collect(Collectors.joining(", "));
    }

    /** What makes it impossible: each rule or lock without which there would be a plan. */
    private List<String> why(TyreRules rules, Map<String, String> locked) {
        if (dry.isEmpty()) {
            return List.of("There is no dry set for " + sessions.size() + " sessions.");
        }
        List<String> why = new ArrayList<>();
        int most = Math.min(rules.mostSets(), dry.size());
        if (most * rules.uses() < sessions.size()) {
            why.add(sessions.size() + " sessions, and " + most + (most == 1 ? " set" : " sets") + " of "
                    + rules.uses() + (rules.uses() == 1 ? " session" : " sessions") + " each serve "
                    + most * rules.uses() + ".");
        }
        if (solve(new TyreRules(dry.size(), rules.mostNew(), rules.uses()), locked)
                .isPresent()) {
            why.add("The class allows " + rules.mostSets() + " sets.");
        }
        if (solve(new TyreRules(rules.mostSets(), dry.size(), rules.uses()), locked)
                .isPresent()) {
            why.add("The class allows " + rules.mostNew() + " new sets.");
        }
        for (String session : locked.keySet()) {
            Map<String, String> without = new HashMap<>(locked);
            without.remove(session);
            if (solve(rules, without).isPresent()) {
                sessions.stream()
                        .filter(x -> x.id().equals(session))
                        .forEach(x -> why.add(
                                "The set that was chosen for " + x.name() + " by hand does not go with the rest."));
            }
        }
        if (why.isEmpty()) {
            why.add("Sessions at the same time need more sets than there are.");
        }
        return why;
    }
}
