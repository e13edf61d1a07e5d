package galecrest.core.plan;

import galecrest.core.build.Pin;
import galecrest.core.build.PinId;
import galecrest.core.build.RunningIn;
import galecrest.core.build.Zone;
import galecrest.core.people.Person;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.OptionalInt;
import org.jspecify.annotations.Nullable;

/** Places running-in: one drive a day, in one go, by one driver throughout, the car away meanwhile. */
final class RunningInPlacer {
    private final Network network;
    private final Occupancy taken;

    RunningInPlacer(Network network, Occupancy taken) {
        this.network = network;
        this.taken = taken;
    }

    private record Drives(
            int driver, List<int[]> stretches, @Nullable Because cause) {
        int start() {
            return stretches.get(0)[0];
        }

        int end() {
            return stretches.get(stretches.size() - 1)[1];
        }
    }

    SerialSchedule.Placing place(
            RunningIn work, List<Pin> pins, SerialSchedule.Start start, Map<PinId, String> brokenPins) {
        OptionalInt pinnedDriver = OptionalInt.empty();
        OptionalInt exactly = OptionalInt.empty();
        for (Pin pin : pins) {
            if (pin instanceof Pin.NotBefore notBefore) {
                start.notBefore(network.grid.atOrAfter(notBefore.at()), new Because.Pinned(pin.id()));
            } else if (pin instanceof Pin.ToPerson toPerson && pinnedDriver.isEmpty() && drives(work, toPerson)) {
                pinnedDriver = OptionalInt.of(network.person(toPerson.person()));
            } else if (pin instanceof Pin.Exactly at) {
                exactly = OptionalInt.of(network.grid.atOrAfter(at.at()));
            } else {
                brokenPins.put(
                        pin.id(),
                        "only one person with the skill " + work.driver().skill()
                                + " can drive, and no station is used.");
            }
        }
        int from = Math.max(start.slot(), exactly.orElse(0));
        Drives best = null;
        List<Person> people = network.shop.people();
        for (int driver = 0; driver < people.size(); driver++) {
            boolean able =
                    people.get(driver).can(work.driver().skill(), work.driver().least());
            if (able && (pinnedDriver.isEmpty() || pinnedDriver.getAsInt() == driver)) {
                Drives found = drives(work, driver, from, start.end());
                best = found != null && (best == null || found.end() < best.end()) ? found : best;
            }
        }
        if (best == null) {
            pins.forEach(p -> brokenPins.put(p.id(), work.name() + " cannot be planned."));
            return SerialSchedule.Placing.not("Nobody with the skill "
                    + work.driver().skill() + " has room for the drives within the time that is planned ahead.");
        }
        Because because = best.cause() != null ? best.cause() : start.because(best.start(), best.end());
        for (Pin pin : pins) {
            if (pin instanceof Pin.Exactly at) {
                if (best.start() == network.grid.atOrAfter(at.at())) {
                    because = new Because.Pinned(pin.id());
                } else {
                    brokenPins.put(pin.id(), "the first drive cannot start exactly then.");
                }
            }
        }
        return SerialSchedule.Placing.at(keep(work, best, because));
    }

    private boolean drives(RunningIn work, Pin.ToPerson pin) {
        return network.shop
                .people()
                .get(network.person(pin.person()))
                .can(work.driver().skill(), work.driver().least());
    }

    private @Nullable Drives drives(RunningIn work, int driver, int from, int endFrom) {
        List<int[]> stretches = new ArrayList<>();
        Because first = null;
        int slot = from;
        int count = work.drives();
        for (int drive = 0; drive < count; drive++) {
            boolean last = drive == count - 1;
            int length = Grid.slotsFor(work.perDay().value());
            Because[] cause = new Because[1];
            int start = free(work, driver, slot, length, last ? endFrom : 0, cause);
            if (start == SlotWindows.NEVER) {
                return null;
            }
            first = drive == 0 ? cause[0] : first;
            stretches.add(new int[] {start, start + length});
            slot = Math.max(network.grid.nextDay(start), start + length);
        }
        return new Drives(driver, stretches, first);
    }

    /** The first slot from which driver and car are free for so long; {@code cause[0]} tells what was in the way. */
    private int free(RunningIn work, int driver, int from, int length, int endFrom, Because[] cause) {
        SlotWindows hours = network.calendars.person(driver);
        Occupancy.Busy busy = taken.person(driver);
        int slot = Math.max(from, endFrom - length);
        while (true) {
            slot = hours.next(slot);
            if (slot == SlotWindows.NEVER) {
                return SlotWindows.NEVER;
            }
            if (slot + length > hours.windowEnd(slot)) {
                slot = hours.windowEnd(slot);
                continue;
            }
            int clash = busy.firstEndingAfter(slot);
            if (clash < busy.count() && busy.fromOf(clash) < slot + length) {
                cause[0] = new Because.PersonBusy(
                        network.shop.people().get(driver).id(),
                        network.works.get(busy.workOf(clash)).id(),
                        network.grid.instant(busy.toOf(clash)));
                slot = busy.toOf(clash);
                continue;
            }
            Occupancy.Claim claim = taken.conflict(network.buildOf(work), claim(work, slot, slot + length));
            if (claim == null) {
                return slot;
            }
            cause[0] = new Because.WholeCar(claim.work(), network.grid.instant(claim.to()));
            slot = claim.to();
        }
    }

    private static Occupancy.Claim claim(RunningIn work, int from, int to) {
        return new Occupancy.Claim(from, to, Occupancy.Hold.AWAY, Zone.FRONT, -1, work.id());
    }

    private Placement keep(RunningIn work, Drives drives, Because because) {
        int node = network.index.get(work.id());
        for (int[] stretch : drives.stretches()) {
            taken.person(drives.driver()).add(stretch[0], stretch[1], node);
            taken.claim(network.buildOf(work), claim(work, stretch[0], stretch[1]));
        }
        int[] driver = {drives.driver()};
        return new Placement(
                drives.start(), drives.end(), drives.end(), driver, -1, drives.stretches(), false, because);
    }
}
