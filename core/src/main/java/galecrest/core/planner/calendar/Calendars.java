package galecrest.core.planner.calendar;

import galecrest.core.people.Person;
import galecrest.core.people.ShiftChange;
import galecrest.core.people.WorkingDay;
import galecrest.core.plan.ShopSnapshot;
import galecrest.core.shop.Station;
import galecrest.core.time.Closure;
import galecrest.core.time.Shift;
import galecrest.core.time.Span;
import galecrest.core.vendor.Vendor;
import java.time.Duration;
import java.time.Instant;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.concurrent.ConcurrentHashMap;

/** The calendars of a snapshot as slots: of each person, of crews at stations, of the shop and of each vendor. */
public final class Calendars {
    private final ShopSnapshot shop;
    private final TimeGrid grid;
    private final Map<Integer, Integer> openSince = new ConcurrentHashMap<>();
    private final WorkingWindows[] people;
    private final WorkingWindows[] onLeave;
    private final WorkingWindows[] openDays;
    private final boolean[] everClosed;
    private final WorkingWindows shopHours;
    private final WorkingWindows mirroredShopHours;
    private final WorkingWindows regularHours;
    private final int[][] vendorClosings;
    private final WorkingWindows[] vendorHours;
    private final Map<Crew, WorkingWindows> crews = new ConcurrentHashMap<>();

    /** The people of a crew, and the station if it ever closes. */
    private record Crew(List<Integer> people, int station) {}

    /** The hours of everybody and everything in slots of the grid. */
    public Calendars(ShopSnapshot shop, TimeGrid grid) {
        this.shop = shop;
        this.grid = grid;
        people = shop.people().stream().map(p -> windows(spans(p))).toArray(WorkingWindows[]::new);
        onLeave = shop.people().stream().map(p -> windows(leave(p))).toArray(WorkingWindows[]::new);
        openDays = shop.stations().stream().map(this::openDays).toArray(WorkingWindows[]::new);
        everClosed = new boolean[openDays.length];
        for (int i = 0; i < openDays.length; i++) {
            everClosed[i] = !shop.stations().get(i).closures().isEmpty();
        }
        shopHours = Arrays.stream(people).reduce(windows(List.of()), WorkingWindows::or);
        mirroredShopHours = shopHours.mirrored(grid.slots());
        WorkingWindows regular = windows(List.of());
        for (int i = 0; i < people.length; i++) {
            Person person = shop.people().get(i);
            regular = regular.or(person.changes().isEmpty() ? people[i] : windows(open(person.shifts(), List.of())));
        }
        regularHours = regular.isEmpty() ? shopHours : regular;
        vendorHours = new WorkingWindows[shop.vendors().size()];
        vendorClosings = new int[vendorHours.length][];
        for (int i = 0; i < vendorHours.length; i++) {
            Vendor vendor = shop.vendors().get(i);
            List<Span> open = open(vendor.hours(), vendor.closures());
            vendorHours[i] = windows(open);
            vendorClosings[i] = closings(open);
        }
    }

    private WorkingWindows windows(List<Span> spans) {
        return WorkingWindows.of(spans, grid);
    }

    /** The time in which somebody is in the shop. */
    public WorkingWindows shopHours() {
        return shopHours;
    }

    /**
     * The shop's regular hours, in which margins are measured: of all weekly shifts, whoever is on leave or comes in for an
     * extra one, so that a margin before and after such a change is in the same hours. Where nobody has a weekly shift, the
     * hours in which somebody is in.
     */
    WorkingWindows regularHours() {
        return regularHours;
    }

    /**
     * What is in hand between a finish and the slot it is due at, in slots of the regular hours: negative where the finish
     * is later, if only by time in which nobody works. What is finished at slot 0 is not open, and so not late.
     */
    public int margin(int finish, int due) {
        int margin = regularHours.workBefore(due) - regularHours.workBefore(finish);
        return finish > Math.max(due, 0) ? Math.min(margin, -1) : margin;
    }

    /** The last slot that leaves so many slots of the regular hours before one ahead; 0 where there are not so many. */
    public int leaving(int slots, int before) {
        if (slots == 0 || before <= 0) {
            return before;
        }
        int target = regularHours.workBefore(before) - slots;
        int low = 0;
        int high = before;
        while (low < high) {
            int mid = (low + high + 1) >>> 1;
            if (regularHours.workBefore(mid) <= target) {
                low = mid;
            } else {
                high = mid - 1;
            }
        }
        return low;
    }

    /** When the vendor takes in what is brought. */
    public WorkingWindows vendor(int vendor) {
        return vendorHours[vendor];
    }

    /** The slots of shop hours between one before the present and the present. */
    public int openSince(int pastSlot) {
        return openSince.computeIfAbsent(pastSlot, slot -> {
            Instant since = grid.instant(slot);
            TimeGrid earlier = new TimeGrid(since, grid.zone(), Duration.between(since, grid.instant(0)));
            return new Calendars(shop, earlier).shopHours().workBefore(-slot);
        });
    }

    /** The shop hours with time running backwards from the end of what can be planned. */
    public WorkingWindows mirroredShopHours() {
        return mirroredShopHours;
    }

    /** When a person is in, less leave. */
    public WorkingWindows person(int person) {
        return people[person];
    }

    /** The hours that the person would be in but for leave. */
    public WorkingWindows onLeave(int person) {
        return onLeave[person];
    }

    /** How many stations there are. */
    public int stations() {
        return openDays.length;
    }

    /** How many slots can be planned. */
    public int slots() {
        return grid.slots();
    }

    /** The first person who is in, and on leave, at just the same times. */
    public int alike(int person) {
        int first = 0;
        while (!people[first].equals(people[person]) || !onLeave[first].equals(onLeave[person])) {
            first++;
        }
        return first;
    }

    /** When all of the crew are in and the station is open; {@code station} is −1 for none, an empty crew always. */
    public WorkingWindows crew(int[] crew, int station) {
        int closing = station >= 0 && everClosed[station] ? station : -1;
        if (crew.length == 1 && closing < 0) {
            return people[crew[0]];
        }
        Crew key = new Crew(Arrays.stream(crew).sorted().boxed().toList(), closing);
        return crews.computeIfAbsent(key, this::together);
    }

    private WorkingWindows together(Crew crew) {
        WorkingWindows all = crew.station < 0 ? WorkingWindows.always(grid.slots()) : openDays[crew.station];
        for (int person : crew.people) {
            all = all.and(people[person]);
        }
        return all;
    }

    /** Closing time of the vendor's working day, so many of them after the first that closes after the slot. */
    public int vendorClosing(int vendor, int arrival, int daysLater) {
        int[] closings = vendorClosings[vendor];
        int at = Arrays.binarySearch(closings, arrival);
        int index = (at >= 0 ? at + 1 : -at - 1) + daysLater;
        return index < closings.length ? closings[index] : WorkingWindows.NEVER;
    }

    private List<Span> spans(Person person) {
        List<Span> spans = new ArrayList<>();
        for (LocalDate day = grid.today().minusDays(1); !day.isAfter(grid.lastDay()); day = day.plusDays(1)) {
            spans.addAll(WorkingDay.of(person, day, grid.zone()));
        }
        return spans;
    }

    /** Some weekly hours on the days of the grid, but the closed ones. */
    private List<Span> open(List<Shift> weekly, List<Closure> closures) {
        List<Span> spans = new ArrayList<>();
        for (LocalDate day = grid.today().minusDays(1); !day.isAfter(grid.lastDay()); day = day.plusDays(1)) {
            for (Shift shift : weekly) {
                if (shift.day() == day.getDayOfWeek() && !shut(closures, day)) {
                    Shift.on(day, shift.start(), shift.end(), grid.zone()).ifPresent(spans::add);
                }
            }
        }
        return spans;
    }

    private List<Span> leave(Person person) {
        List<Span> spans = new ArrayList<>();
        for (ShiftChange change : person.changes()) {
            for (LocalDate day = change.from();
                    change.kind().takes() && !day.isAfter(change.to());
                    day = day.plusDays(1)) {
                Shift.on(day, change.start(), change.end(), grid.zone()).ifPresent(spans::add);
            }
        }
        return spans;
    }

    private WorkingWindows openDays(Station station) {
        if (station.closures().isEmpty()) {
            return WorkingWindows.always(grid.slots());
        }
        List<Span> spans = new ArrayList<>();
        for (LocalDate day = grid.today(); !day.isAfter(grid.lastDay()); day = day.plusDays(1)) {
            if (!shut(station.closures(), day)) {
                spans.add(new Span(
                        day.atStartOfDay(grid.zone()).toInstant(),
                        day.plusDays(1).atStartOfDay(grid.zone()).toInstant()));
            }
        }
        return windows(spans);
    }

    private static boolean shut(List<Closure> closures, LocalDate day) {
        return closures.stream().anyMatch(c -> c.covers(day));
    }

    /** The last end of each local day on which something is open. */
    private int[] closings(List<Span> open) {
        Map<LocalDate, Integer> last = new HashMap<>();
        for (Span span : open) {
            last.merge(span.from().atZone(grid.zone()).toLocalDate(), grid.atOrAfter(span.to()), Math::max);
        }
        return last.values().stream()
                .mapToInt(Integer::intValue)
                .sorted()
                .distinct()
                .toArray();
    }
}
