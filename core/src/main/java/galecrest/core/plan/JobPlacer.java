package galecrest.core.plan;

import galecrest.core.build.CureLock;
import galecrest.core.build.Job;
import galecrest.core.build.Pin;
import galecrest.core.build.PinId;
import galecrest.core.people.Person;
import galecrest.core.shop.Station;
import galecrest.core.time.Minutes;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.IntStream;
import org.jspecify.annotations.Nullable;

/** Places jobs: tries every crew at every station, keeps the place that ends first. */
final class JobPlacer {
    private final Network network;
    private final Occupancy taken;
    private final Crews crews;

    JobPlacer(Network network, Occupancy taken) {
        this.network = network;
        this.taken = taken;
        this.crews = new Crews(network);
    }

    SerialSchedule.Placing place(Job job, List<Pin> pins, SerialSchedule.Start start, Map<PinId, String> brokenPins) {
        Optional<String> never = cannot(job);
        if (never.isPresent()) {
            pins.forEach(p -> brokenPins.put(p.id(), job.name() + " cannot be planned: " + never.get()));
            return SerialSchedule.Placing.not(never.get());
        }
        List<Pin.ToPerson> people = new ArrayList<>();
        int[] stations = stations(job);
        Pin.@Nullable Exactly exactly = null;
        for (Pin pin : pins) {
            if (pin instanceof Pin.NotBefore notBefore) {
                start.notBefore(network.grid.atOrAfter(notBefore.at()), new Because.Pinned(pin.id()));
            } else if (pin instanceof Pin.ToPerson toPerson) {
                people.add(toPerson);
                if (crews.of(job, people).isEmpty()) {
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
                if (exactly != null && !exactly.at().equals(at.at())) {
                    brokenPins.put(exactly.id(), "it is pinned to another instant as well.");
                }
                exactly = at;
            }
        }
        List<int[]> candidates = crews.of(job, people);
        if (exactly != null) {
            SerialSchedule.Placing pinned = exactly(job, exactly, candidates, stations, start, brokenPins);
            if (pinned != null) {
                return pinned;
            }
        }
        Fit.Found best = best(job, candidates, stations, start.slot(), start.end(), SlotWindows.NEVER);
        if (best == null) {
            return SerialSchedule.Placing.not(noRoom(job));
        }
        return SerialSchedule.Placing.at(keep(job, best, reason(job, best, start)));
    }

    private Because reason(Job job, Fit.Found found, SerialSchedule.Start start) {
        if (found.cause() != null) {
            return found.cause();
        }
        SlotWindows hours = network.calendars.crew(found.crew(), found.station());
        int first = hours.next(start.slot());
        int plainEnd = hours.finish(first, Network.slots(job));
        return start.because(found.start(), plainEnd);
    }

    private SerialSchedule.@Nullable Placing exactly(
            Job job,
            Pin.Exactly pin,
            List<int[]> candidates,
            int[] stations,
            SerialSchedule.Start start,
            Map<PinId, String> brokenPins) {
        int slot = network.grid.atOrAfter(pin.at());
        if (slot < start.slot()) {
            Because why = start.because(start.slot(), SlotWindows.NEVER);
            brokenPins.put(pin.id(), "before that instant it cannot start: " + new Sentences(network.shop).reason(why));
            return null;
        }
        Fit.Found best = null;
        Fit.Found later = null;
        for (int[] crew : candidates) {
            for (int station : stations) {
                Fit.Found found =
                        new Fit(network, taken, job).earliest(crew, station, slot, start.end(), SlotWindows.NEVER);
                if (found != null && found.start() == slot) {
                    best = found.betterThan(best) ? found : best;
                } else if (found != null) {
                    later = found.betterThan(later) ? found : later;
                }
            }
        }
        if (best == null) {
            Because why = later == null || later.cause() == null ? new Because.Shift() : later.cause();
            brokenPins.put(pin.id(), "it cannot start exactly then: " + new Sentences(network.shop).reason(why));
            return null;
        }
        return SerialSchedule.Placing.at(keep(job, best, new Because.Pinned(pin.id())));
    }

    private Fit.@Nullable Found best(
            Job job, List<int[]> candidates, int[] stations, int from, int endFrom, int latestEnd) {
        Fit fit = new Fit(network, taken, job);
        Fit.Found best = null;
        for (int[] crew : candidates) {
            for (int station : stations) {
                int limit = best == null ? latestEnd : best.end();
                Fit.Found found = fit.earliest(crew, station, from, endFrom, limit);
                if (found != null && found.betterThan(best)) {
                    best = found;
                }
            }
        }
        return best;
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

    private Optional<String> cannot(Job job) {
        boolean going = job.started().isPresent() && !job.started().get().by().isEmpty();
        Optional<String> lacking = going ? Optional.empty() : crews.lacking(job);
        if (lacking.isPresent()) {
            return lacking;
        }
        if (stations(job).length == 0) {
            return Optional.of(
                    "The shop has no station of the kind " + job.stationKind().get() + ".");
        }
        if (!going && crews.of(job, List.of()).isEmpty()) {
            return Optional.of(
                    "It takes " + job.crew().size() + " people at once; not so many have the skills for it.");
        }
        int limit = network.shop.builds().get(network.buildOf(job)).zoneLimit(job.zone());
        int hands = going ? job.started().get().by().size() : job.crew().size();
        if (job.onCar() && hands > limit) {
            return Optional.of("It takes " + hands + " people in the zone "
                    + job.zone().name().toLowerCase(java.util.Locale.ROOT).replace('_', ' ') + ", where " + limit
                    + " fit.");
        }
        return Optional.empty();
    }

    private String noRoom(Job job) {
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
        boolean able = job.crew().stream().anyMatch(c -> person.can(c.skill(), c.least()));
        return able
                ? "there is no crew of the pinned people that has all the skills it takes."
                : person.name() + " does not have a skill that it takes: "
                        + job.crew().stream()
                                .map(c -> c.skill() + " as " + c.least().name().toLowerCase(java.util.Locale.ROOT))
                                .distinct()
                                .reduce((a, b) -> a + ", " + b)
                                .orElse("none")
                        + ".";
    }

    private String wrongStation(int station, Job job) {
        Station it = network.shop.stations().get(station);
        return it.name() + " is of the kind " + it.kind() + "; the job needs "
                + job.stationKind().orElse("no station") + ".";
    }

    /** Takes what the place uses. */
    private Placement keep(Job job, Fit.Found found, Because because) {
        int node = network.index.get(job.id());
        int build = network.buildOf(job);
        SlotWindows hours = network.calendars.crew(found.crew(), found.station());
        List<int[]> stretches = new ArrayList<>();
        for (int w = hours.windowAfter(found.start()); w < hours.count() && hours.startOf(w) < found.end(); w++) {
            stretches.add(new int[] {Math.max(found.start(), hours.startOf(w)), Math.min(found.end(), hours.endOf(w))});
        }
        for (int[] stretch : stretches) {
            for (int person : found.crew()) {
                taken.person(person).add(stretch[0], stretch[1], node);
            }
            if (job.onCar()) {
                taken.inZone(
                        build, new Occupancy.InZone(stretch[0], stretch[1], job.zone(), found.crew().length, job.id()));
            }
        }
        if (found.station() >= 0) {
            taken.stand(found.station(), new Occupancy.Stand(found.start(), found.end(), build, job.id()));
        }
        if (job.onCar()) {
            var hold = job.wholeCar() ? Occupancy.Hold.WHOLE_CAR : Occupancy.Hold.ON_CAR;
            taken.claim(
                    build,
                    new Occupancy.Claim(found.start(), found.end(), hold, job.zone(), found.station(), job.id()));
        }
        int cured = found.end() + Grid.slotsFor(job.cure());
        cure(job, found.end(), cured);
        return new Placement(
                found.start(), found.end(), cured, found.crew(), found.station(), stretches, false, because);
    }

    /** Locks what the job's curing locks. */
    void cure(Job job, int from, int to) {
        if (job.onCar() && job.cureLock() != CureLock.NOTHING && from < to) {
            var hold = Occupancy.curing(job.cureLock());
            taken.claim(network.buildOf(job), new Occupancy.Claim(from, to, hold, job.zone(), -1, job.id()));
        }
    }
}
