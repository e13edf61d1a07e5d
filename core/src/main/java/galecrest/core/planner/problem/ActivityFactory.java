package galecrest.core.planner.problem;

import galecrest.core.build.Build;
import galecrest.core.people.Person;
import galecrest.core.plan.Plan;
import galecrest.core.planner.calendar.TimeGrid;
import galecrest.core.planner.network.ActivityNetwork;
import galecrest.core.shop.Station;
import galecrest.core.time.Minutes;
import galecrest.core.vendor.VendorId;
import galecrest.core.work.Commitment;
import galecrest.core.work.CureLock;
import galecrest.core.work.Job;
import galecrest.core.work.Outwork;
import galecrest.core.work.Pin;
import galecrest.core.work.PinId;
import galecrest.core.work.RunningIn;
import galecrest.core.work.Status;
import galecrest.core.work.Work;
import galecrest.core.work.WorkId;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.Comparator;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import org.jspecify.annotations.Nullable;

/** Prepares the open work of a network for placing: who could do it where, by skills, stations and pins. */
public final class ActivityFactory {
    private static final int[] NOWHERE = {};

    private final ActivityNetwork network;
    private final ResourcePools pools;
    private final CrewModes crews;
    private final Map<VendorId, Integer> vendors = new HashMap<>();
    private final Map<WorkId, Plan.Placed> told;
    private final int frozenUntil;
    /** Pins that can never hold, and why. */
    final Map<PinId, String> brokenPins = new LinkedHashMap<>();

    ActivityFactory(ActivityNetwork network, ResourcePools pools) {
        this.network = network;
        this.pools = pools;
        this.crews = new CrewModes(network.shop, network.calendars, pools);
        network.shop.vendors().forEach(v -> vendors.put(v.id(), vendors.size()));
        network.brokenPins.forEach(b -> brokenPins.put(b.pin(), b.reason()));
        int until = 0;
        for (int day = 0; day < network.shop.rules().frozenDays(); day++) {
            until = network.grid.nextDay(until);
        }
        frozenUntil = until;
        told = network.shop.standing().map(Plan::byWork).orElse(new HashMap<>());
        // What people were told of the frozen days is a promise, whatever better plan was taken since.
        network.shop.published().map(Plan::placed).orElse(List.of()).stream()
                .filter(placed -> network.grid.atOrAfter(placed.start()) < frozenUntil)
                .forEach(placed -> told.put(placed.work(), placed));
    }

    Activity of(int node) {
        Work work = network.works.get(node);
        List<Pin> pins = network.pins.get(node);
        if (network.there[node] >= 0) {
            return there(node, pins);
        } else if (work instanceof Job job) {
            return job(job, pins);
        } else if (work instanceof Outwork outwork) {
            return trip(outwork, pins);
        }
        return drive((RunningIn) work, pins);
    }

    /** Work that is done while the car is away takes that time, and nothing of the shop. */
    private Activity there(int node, List<Pin> pins) {
        Commitment date = network.shop.commitments().get(network.there[node]);
        pins.stream()
                .filter(p -> !(p instanceof Pin.NotBefore))
                .forEach(p -> brokenPins.put(p.id(), "it is done at " + date.name() + "."));
        int leaves = Math.max(0, network.grid.atOrBefore(date.due()));
        int back = network.grid.atOrAfter(date.away().orElseThrow().to());
        return new Activity.BlockActivity(network.buildOf(date.build()), Math.max(1, back - leaves), false);
    }

    /** The slots, in pairs, in which the car is away at dates that this work is not for. */
    private int[] carAway(Work work) {
        List<Integer> away = new ArrayList<>();
        for (Commitment date : network.outings) {
            if (date.build().equals(work.build()) && !isForDateUpTo(date, work)) {
                away.add(Math.max(0, network.grid.atOrBefore(date.due())));
                away.add(network.grid.atOrAfter(date.away().orElseThrow().to()));
            }
        }
        return away.stream().mapToInt(Integer::intValue).toArray();
    }

    /** What a date or one before it needs is done before the car leaves: where it is late, the car leaves late. */
    private boolean isForDateUpTo(Commitment date, Work work) {
        return network.shop.commitments().stream()
                .anyMatch(c -> c.build().equals(date.build()) && !c.due().isAfter(date.due()) && c.needs(work));
    }

    private Activity job(Job job, List<Pin> pins) {
        int[] stations = stations(job);
        Optional<String> never = cannot(job, stations);
        Activity.Exactly exactly = null;
        List<Pin.ToPerson> people = new ArrayList<>();
        for (Pin pin : pins) {
            if (never.isPresent()) {
                brokenPins.put(pin.id(), job.name() + " cannot be planned: " + never.get());
            } else if (pin instanceof Pin.ToPerson toPerson) {
                people.add(toPerson);
                if (crews(job, people).isEmpty()) {
                    people.remove(toPerson);
                    brokenPins.put(pin.id(), noPlaceFor(toPerson, job));
                }
            } else if (pin instanceof Pin.ToStation toStation) {
                int station = network.station(toStation.station());
                if (IntStream.of(stations).anyMatch(s -> s == station)) {
                    stations = new int[] {station};
                } else {
                    brokenPins.put(pin.id(), wrongStation(station, job));
                }
            } else if (pin instanceof Pin.Exactly at) {
                exactly = exactly(at, exactly);
            }
        }
        Build build = network.shop.builds().get(network.buildOf(job.build()));
        List<CrewMode> able = new ArrayList<>(never.isPresent() ? List.of() : crews(job, people));
        CrewMode[] listedCrews = able.toArray(CrewMode[]::new);
        int[] listedStations = stations;
        Activity.Told told = told(job, able, stations);
        if (told != null) {
            // Of what is as good, what people were told.
            able.remove(told.crew());
            able.add(0, told.crew());
            stations = IntStream.concat(
                            IntStream.of(told.station()), IntStream.of(stations).filter(s -> s != told.station()))
                    .toArray();
        }
        boolean locks = job.onCar() && job.cureLock() != CureLock.NOTHING;
        return new Activity.JobActivity(
                network.buildOf(job.build()),
                job.onCar(),
                job.wholeCar(),
                job.oneGo(),
                Math.max(
                        ActivityNetwork.slots(job),
                        TimeGrid.slotsFor(job.toDo().value()
                                * job.estimate().high().value()
                                / job.estimate().likely().value())),
                job.zone().ordinal(),
                build.zoneLimit(job.zone()),
                TimeGrid.slotsFor(job.cure()),
                locks ? cureHold(job) : -1,
                able.toArray(CrewMode[]::new),
                stations,
                listedCrews,
                listedStations,
                exactly,
                exactly == null ? told : null,
                never.orElse(null),
                job.onCar() ? carAway(job) : NOWHERE);
    }

    /** The pin to an exact start; of two that differ the earlier one is broken. */
    private Activity.Exactly exactly(Pin.Exactly pin, Activity.@Nullable Exactly before) {
        int slot = network.grid.atOrAfter(pin.at());
        if (before != null && before.slot() != slot) {
            brokenPins.put(before.pin(), "it is pinned to another instant as well.");
        }
        return new Activity.Exactly(pin.id(), slot);
    }

    /** When each node was told to start; −1 where it was not, has started, or is away. */
    int[] toldStarts() {
        int[] starts = new int[network.size()];
        for (int node = 0; node < starts.length; node++) {
            Work work = network.works.get(node);
            Plan.Placed placed = told.get(work.id());
            boolean waits = placed != null && !going(work) && !network.isAway(node);
            starts[node] = waits ? Math.max(-1, network.grid.atOrAfter(placed.start())) : -1;
        }
        return starts;
    }

    static int cureHold(Job job) {
        return job.cureLock() == CureLock.WHOLE_CAR ? CarClaim.CURING_CAR : CarClaim.CURING_ZONE;
    }

    /** What people were told of the job, where it still could be so. */
    private Activity.@Nullable Told told(Job job, List<CrewMode> able, int[] stations) {
        Plan.Placed placed = told.get(job.id());
        if (placed == null || going(job)) {
            return null;
        }
        int slot = network.grid.atOrAfter(placed.start());
        if (network.grid.atOrBefore(placed.end()) <= 0) {
            return null;
        }
        boolean known = placed.crew().stream()
                .allMatch(id -> network.shop.people().stream().anyMatch(p -> p.id().equals(id)));
        int station = placed.station()
                .map(s -> IntStream.range(0, network.shop.stations().size())
                        .filter(i -> network.shop.stations().get(i).id().equals(s))
                        .findFirst()
                        .orElse(-2))
                .orElse(-1);
        if (!known || IntStream.of(stations).noneMatch(s -> s == station)) {
            return null;
        }
        CrewMode crew =
                crews.just(placed.crew().stream().mapToInt(network::person).toArray());
        if (!able.contains(crew)) {
            return null;
        }
        int from = slot >= 0 ? slot : crew.hours(station, false).next(0);
        return new Activity.Told(from, crew, station, slot < frozenUntil && job.status() == Status.TODO);
    }

    /** Whether somebody is on it; what was begun and is paused waits like what was not begun. */
    private static boolean going(Work work) {
        return work instanceof Job job
                ? job.started().isPresent() && !job.started().get().by().isEmpty()
                : work.status() != Status.TODO;
    }

    private List<CrewMode> crews(Job job, List<Pin.ToPerson> pinned) {
        if (going(job)) {
            var by = job.started().orElseThrow().by();
            boolean holdsPinned = pinned.stream().allMatch(p -> by.contains(p.person()));
            return holdsPinned
                    ? List.of(crews.just(by.stream().mapToInt(network::person).toArray()))
                    : List.of();
        }
        return crews.of(
                job, pinned.stream().mapToInt(p -> network.person(p.person())).toArray());
    }

    private int[] stations(Job job) {
        if (job.stationKind().isEmpty()) {
            return new int[] {-1};
        }
        if (job.started().isPresent() && job.started().get().station().isPresent()) {
            return new int[] {network.station(job.started().get().station().get())};
        }
        List<Station> all = network.shop.stations();
        return IntStream.range(0, all.size())
                .filter(i -> all.get(i).kind().equals(job.stationKind().get()))
                .toArray();
    }

    private Optional<String> cannot(Job job, int[] stations) {
        Optional<String> lacking = going(job) ? Optional.empty() : crews.lacking(job);
        if (lacking.isPresent()) {
            return lacking;
        }
        if (stations.length == 0) {
            return Optional.of(
                    "The shop has no station of the kind " + job.stationKind().orElse("") + ".");
        }
        if (!going(job) && crews.of(job, new int[0]).isEmpty()) {
            return Optional.of(
                    "It takes " + job.crew().size() + " people at once; not so many have the skills for it.");
        }
        int limit = network.shop.builds().get(network.buildOf(job.build())).zoneLimit(job.zone());
        int hands = going(job)
                ? job.started().orElseThrow().by().size()
                : job.crew().size();
        if (job.onCar() && hands > limit) {
            return Optional.of("It takes " + hands + " people in the zone "
                    + job.zone().name().toLowerCase(Locale.ROOT).replace('_', ' ') + ", where " + limit + " fit.");
        }
        return Optional.empty();
    }

    /** Why there is no room for a job that could be done as such. */
    public static String noRoom(Job job) {
        if (!job.oneGo()) {
            return "There is no room for it within the time that is planned ahead.";
        }
        Minutes needed = job.toDo();
        return "It must be done in one go of " + needed.value() + " min, and no shift of those who can do it leaves so"
                + " much.";
    }

    private String noPlaceFor(Pin.ToPerson pin, Job job) {
        Person person = network.shop.people().get(network.person(pin.person()));
        if (job.started().isPresent()) {
            return "others have started it already.";
        }
        if (job.crew().stream().anyMatch(c -> person.can(c.skill(), c.least()))) {
            return "there is no crew of the pinned people that has all the skills it takes.";
        }
        String skills = job.crew().stream()
                .map(c -> c.skill() + " as " + c.least().name().toLowerCase(Locale.ROOT))
                .distinct()
                .collect(Collectors.joining(", "));
        return person.name() + " does not have a skill that it takes: " + (skills.isEmpty() ? "none" : skills) + ".";
    }

    private String wrongStation(int station, Job job) {
        Station it = network.shop.stations().get(station);
        return it.name() + " is of the kind " + it.kind() + "; the job needs "
                + job.stationKind().orElse("no station") + ".";
    }

    private Activity trip(Outwork work, List<Pin> pins) {
        Activity.Exactly exactly = null;
        for (Pin pin : pins) {
            if (work.away().isPresent()) {
                brokenPins.put(pin.id(), work.name() + " is away already.");
            } else if (pin instanceof Pin.Exactly at) {
                exactly = exactly(at, exactly);
            } else if (!(pin instanceof Pin.NotBefore)) {
                brokenPins.put(pin.id(), "outwork takes none of the shop's people or stations.");
            }
        }
        TimeGrid grid = network.grid;
        return new Activity.TripActivity(
                network.buildOf(work.build()),
                work.wholeCar(),
                TimeGrid.slotsFor(work.transportOut()),
                TimeGrid.slotsFor(work.transportBack()),
                TimeGrid.slotsFor(work.inspection().value()),
                vendors.get(work.vendor()),
                work.slot()
                        .map(s -> grid.atOrBefore(s.from().minus(work.transportOut())))
                        .orElse(SchedulingProblem.NO_SLOT),
                work.slot()
                        .map(s -> grid.atOrAfter(s.to().plus(work.transportBack())))
                        .orElse(0),
                work.away().isPresent(),
                work.away().map(a -> grid.atOrBefore(a.since())).orElse(0),
                exactly,
                network.shop.vendors().get(vendors.get(work.vendor())).name(),
                work.wholeCar() ? carAway(work) : NOWHERE);
    }

    private Activity drive(RunningIn work, List<Pin> pins) {
        Activity.Exactly exactly = null;
        int only = -1;
        for (Pin pin : pins) {
            if (pin instanceof Pin.ToPerson toPerson && only < 0 && drives(work, network.person(toPerson.person()))) {
                only = network.person(toPerson.person());
            } else if (pin instanceof Pin.Exactly at) {
                exactly = exactly(at, exactly);
            } else if (!(pin instanceof Pin.NotBefore)) {
                brokenPins.put(
                        pin.id(),
                        "only one person with the skill " + work.driver().skill()
                                + " can drive, and no station is used.");
            }
        }
        int pinned = only;
        int[] drivers = IntStream.range(0, network.shop.people().size())
                .filter(i -> drives(work, i) && (pinned < 0 || pinned == i))
                .map(pools::of)
                .toArray();
        return new Activity.DriveActivity(
                network.buildOf(work.build()),
                work.drives(),
                TimeGrid.slotsFor(work.perDay().value()),
                Arrays.stream(drivers)
                        .distinct()
                        .boxed()
                        .sorted(Comparator.comparing(pool -> !toldDriver(work, pool)))
                        .mapToInt(Integer::intValue)
                        .toArray(),
                toldDrives(work),
                exactly,
                work.driver().skill(),
                carAway(work));
    }

    /** The drives that people were told, where all are still to come. */
    private int[] toldDrives(RunningIn work) {
        Plan.Placed placed = told.get(work.id());
        if (placed == null
                || placed.at().size() != work.drives()
                || network.grid.atOrAfter(placed.start()) < 0
                || placed.crew().size() != 1) {
            return new int[0];
        }
        return placed.at().stream()
                .flatMapToInt(s -> IntStream.of(network.grid.atOrAfter(s.from()), network.grid.atOrBefore(s.to())))
                .toArray();
    }

    private boolean toldDriver(RunningIn work, int pool) {
        Plan.Placed placed = told.get(work.id());
        return placed != null
                && placed.crew()
                        .contains(network.shop.people().get(pools.anyOf(pool)).id());
    }

    private boolean drives(RunningIn work, int person) {
        return network.shop
                .people()
                .get(person)
                .can(work.driver().skill(), work.driver().least());
    }
}
