package galecrest.core.plan;

import galecrest.core.build.Build;
import galecrest.core.build.Commitment;
import galecrest.core.build.Job;
import galecrest.core.build.WorkId;
import galecrest.core.people.PersonId;
import galecrest.core.shop.HouseRules;
import java.time.DayOfWeek;
import java.time.LocalDate;
import java.time.ZoneId;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;

/** Scores a schedule by the house rules; see {@link Score} for what each figure means. */
final class Scorer {
    /** Churn is looked at so many working days ahead. */
    private static final int CHURN_DAYS = 5;
    /** Can-follow work that cannot be planned counts as a week late, in hours. */
    private static final double NEVER_HOURS = 40;

    private static final double SLOT_HOURS = Grid.SLOT_MINUTES / 60.0;
    private static final double SLOT_DAYS = SLOT_HOURS / 24;

    private final Network network;
    private final SerialSchedule schedule;
    private final List<Plan.Outlook> outlooks;
    private final List<Plan.Placed> placed;
    private final HouseRules rules;

    Scorer(Network network, SerialSchedule schedule, List<Plan.Outlook> outlooks, List<Plan.Placed> placed) {
        this.network = network;
        this.schedule = schedule;
        this.outlooks = outlooks;
        this.placed = placed;
        this.rules = network.shop.rules();
    }

    Score score() {
        int missing = 0;
        double hard = 0;
        double promised = 0;
        for (int i = 0; i < outlooks.size(); i++) {
            Commitment commitment = network.shop.commitments().get(i);
            Plan.Outlook outlook = outlooks.get(i);
            missing += outlook.missing().size();
            double late = outlook.margin().map(m -> Math.max(0, -m.hours())).orElse(0.0) * commitment.weight();
            hard += commitment.kind().hard() ? late : 0;
            promised += commitment.kind().hard() ? 0 : late;
        }
        return new Score(
                missing,
                hard,
                promised,
                followLate(),
                rules.atRiskStart() * schedule.startedAtRisk.size(),
                rules.toldOtherwise() * churn(),
                rules.carInBits() * daysInBits(),
                rules.finishDay() * weightedFinish());
    }

    private double followLate() {
        SlotWindows open = network.calendars.shopHours();
        double hours = 0;
        for (Commitment commitment : network.shop.commitments()) {
            int due = open.workBefore(network.grid.atOrBefore(commitment.due()));
            for (int node = 0; node < network.size(); node++) {
                if (commitment.wants(network.works.get(node))) {
                    Placement placement = schedule.placed[node];
                    hours += placement == null
                            ? NEVER_HOURS
                            : SLOT_HOURS * Math.max(0, open.workBefore(placement.ready()) - due);
                }
            }
        }
        return hours;
    }

    private double daysInBits() {
        int builds = network.shop.builds().size();
        int[] first = new int[builds];
        int[] last = new int[builds];
        java.util.Arrays.fill(first, Integer.MAX_VALUE);
        for (int node = 0; node < network.size(); node++) {
            Placement placement = schedule.placed[node];
            if (placement != null && network.works.get(node) instanceof Job job && job.onCar()) {
                int build = network.buildOf(job);
                first[build] = Math.min(first[build], placement.start());
                last[build] = Math.max(last[build], placement.end());
            }
        }
        double days = 0;
        for (int build = 0; build < builds; build++) {
            days += first[build] == Integer.MAX_VALUE ? 0 : SLOT_DAYS * (last[build] - first[build]);
        }
        return days;
    }

    private double weightedFinish() {
        List<Build> builds = network.shop.builds();
        double[] last = new double[builds.size()];
        for (int node = 0; node < network.size(); node++) {
            Placement placement = schedule.placed[node];
            int build = network.buildOf(network.works.get(node));
            double ready = placement == null ? 0 : SLOT_DAYS * placement.ready();
            last[build] = Math.max(last[build], ready);
        }
        double sum = 0;
        for (int build = 0; build < last.length; build++) {
            sum += builds.get(build).weight() * last[build];
        }
        return sum;
    }

    private record PersonDay(PersonId person, LocalDate day) {}

    private double churn() {
        if (network.shop.published().isEmpty()) {
            return 0;
        }
        Map<PersonDay, Set<WorkId>> told =
                byPersonAndDay(network.shop.published().get().placed());
        Map<PersonDay, Set<WorkId>> now = byPersonAndDay(placed);
        Set<PersonDay> all = new HashSet<>(told.keySet());
        all.addAll(now.keySet());
        List<LocalDate> days = workingDays();
        double sum = 0;
        for (PersonDay day : all) {
            int ahead = days.indexOf(day.day());
            if (ahead >= 0 && !told.getOrDefault(day, Set.of()).equals(now.getOrDefault(day, Set.of()))) {
                sum += (CHURN_DAYS - ahead) / (double) CHURN_DAYS;
            }
        }
        return sum;
    }

    private Map<PersonDay, Set<WorkId>> byPersonAndDay(List<Plan.Placed> works) {
        ZoneId zone = network.grid.zone();
        Map<PersonDay, Set<WorkId>> days = new HashMap<>();
        for (Plan.Placed work : works) {
            if (network.index.containsKey(work.work())) {
                for (var stretch : work.at()) {
                    LocalDate day = stretch.from().atZone(zone).toLocalDate();
                    work.crew().forEach(p -> days.computeIfAbsent(new PersonDay(p, day), d -> new HashSet<>())
                            .add(work.work()));
                }
            }
        }
        return days;
    }

    private List<LocalDate> workingDays() {
        List<LocalDate> days = new ArrayList<>();
        for (LocalDate day = network.grid.today(); days.size() < CHURN_DAYS; day = day.plusDays(1)) {
            if (day.getDayOfWeek() != DayOfWeek.SATURDAY && day.getDayOfWeek() != DayOfWeek.SUNDAY) {
                days.add(day);
            }
        }
        return days;
    }
}
