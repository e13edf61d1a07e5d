package galecrest.server.calendar;

import galecrest.core.build.Build;
import galecrest.core.build.BuildId;
import galecrest.core.people.Person;
import galecrest.core.plan.Plan;
import galecrest.core.plan.ReasonText;
import galecrest.core.plan.ShopSnapshot;
import galecrest.core.shop.Station;
import galecrest.core.work.Work;
import galecrest.core.work.WorkId;
import galecrest.server.NewId;
import galecrest.server.access.LeadOrManager;
import galecrest.server.access.ManagerOnly;
import galecrest.server.csv.CsvTable;
import galecrest.server.event.EventResponse;
import galecrest.server.event.EventService;
import galecrest.server.journal.Journal;
import galecrest.server.plan.PlanService;
import galecrest.server.problem.NotFoundException;
import galecrest.server.problem.ValidationException;
import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.time.ZonedDateTime;
import java.time.format.DateTimeFormatter;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.function.Predicate;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.springframework.stereotype.Service;

/** Tells other programs what people were told. */
@Service
class CalendarService {
    private static final DateTimeFormatter LOCAL = DateTimeFormatter.ofPattern("yyyy-MM-dd HH:mm");

    /** A moment that something is due stands in a calendar as the half hour before it. */
    private static final Duration MARK = Duration.ofMinutes(30);

    private static final int MOST_LINKS = 200;

    private final FeedRepository feeds;
    private final PlanService plans;
    private final EventService events;
    private final Journal journal;
    private final Clock clock;

    CalendarService(FeedRepository feeds, PlanService plans, EventService events, Journal journal, Clock clock) {
        this.feeds = feeds;
        this.plans = plans;
        this.events = events;
        this.journal = journal;
        this.clock = clock;
    }

    @ManagerOnly
    List<FeedRow> feeds() {
        return feeds.all();
    }

    /** Makes a private link to the calendar of a person, a station or a build. */
    @ManagerOnly
    String addFeed(FeedKind kind, String subject) {
        String name = name(plans.current().shop(), kind, subject).orElseThrow(() -> new NotFoundException("calendar"));
        String token = NewId.secret();
        journal.judge(() -> {
            if (feeds.all().size() >= MOST_LINKS) {
                throw new ValidationException(
                        "feed", "There are " + MOST_LINKS + " calendar links already; revoke one first.");
            }
            feeds.insert(token, kind, subject, clock.instant());
            return "made a calendar link for " + name;
        });
        return token;
    }

    @ManagerOnly
    void removeFeed(String token) {
        ShopSnapshot shop = plans.current().shop();
        journal.judge(() -> {
            FeedRow feed = feeds.find(token).orElseThrow(() -> new NotFoundException("calendar link"));
            feeds.delete(token);
            return "revoked a calendar link for "
                    + name(shop, feed.kind(), feed.subject()).orElse("somebody gone");
        });
    }

    private static Optional<String> name(ShopSnapshot shop, FeedKind kind, String subject) {
        return switch (kind) {
            case PERSON ->
                shop.people().stream()
                        .filter(p -> p.id().value().equals(subject))
                        .map(Person::name)
                        .findFirst();
            case STATION ->
                shop.stations().stream()
                        .filter(s -> s.id().value().equals(subject))
                        .map(Station::name)
                        .findFirst();
            case BUILD ->
                shop.builds().stream()
                        .filter(b -> b.id().value().equals(subject))
                        .map(Build::called)
                        .findFirst();
        };
    }

    /** The calendar behind a link, by what was published; empty where the link is not, or no longer, known. */
    Optional<String> calendar(String token) {
        return feeds.find(token).flatMap(feed -> {
            PlanService.Current told = PlanService.told(plans.current());
            return name(told.shop(), feed.kind(), feed.subject())
                    .map(name -> CalendarFile.write(
                            name,
                            plans.lastPublished().map(PlanService.Published::at).orElse(Instant.EPOCH),
                            Stream.concat(entries(told, feed).stream(), dates(told.shop(), feed))
                                    .toList()));
        });
    }

    private static List<CalendarFile.Entry> entries(PlanService.Current told, FeedRow feed) {
        ShopSnapshot shop = told.shop();
        ReasonText words = new ReasonText(shop);
        Map<WorkId, Work> works = new HashMap<>();
        shop.works().forEach(w -> works.put(w.id(), w));
        Predicate<Plan.Placed> mine =
                switch (feed.kind()) {
                    case PERSON ->
                        p -> p.crew().stream().anyMatch(c -> c.value().equals(feed.subject()));
                    case STATION ->
                        p -> p.station()
                                .filter(s -> s.value().equals(feed.subject()))
                                .isPresent();
                    case BUILD -> p -> works.get(p.work()).build().equals(new BuildId(feed.subject()));
                };
        Map<Object, String> stations = new HashMap<>();
        shop.stations().forEach(s -> stations.put(s.id(), s.name()));
        List<CalendarFile.Entry> entries = new ArrayList<>();
        told.plan().placed().stream().filter(mine).forEach(p -> {
            Work work = works.get(p.work());
            String crew = p.crew().stream().map(words::person).collect(Collectors.joining(", "));
            for (int i = 0; i < p.at().size(); i++) {
                entries.add(new CalendarFile.Entry(
                        work.id() + "-" + i + "@galecrest",
                        p.at().get(i).from(),
                        p.at().get(i).to(),
                        words.build(work.build()) + ": " + work.name(),
                        p.station().map(stations::get).orElse(""),
                        crew));
            }
        });
        return entries;
    }

    /** The dates of a car and the events that it goes to; of a person the events that they go along to. */
    private Stream<CalendarFile.Entry> dates(ShopSnapshot shop, FeedRow feed) {
        List<EventResponse> going = events.entered().stream()
                .filter(e -> feed.kind() == FeedKind.BUILD
                        ? e.cars().stream().anyMatch(c -> c.buildId().equals(feed.subject()))
                        : feed.kind() == FeedKind.PERSON && e.crew().contains(feed.subject()))
                .toList();
        Set<String> ofEvents = going.stream()
                .flatMap(e -> e.cars().stream().map(EventResponse.EventCarResponse::commitmentId))
                .collect(Collectors.toSet());
        Stream<CalendarFile.Entry> others = feed.kind() != FeedKind.BUILD
                ? Stream.empty()
                : shop.commitments().stream()
                        .filter(c -> c.build().value().equals(feed.subject())
                                && c.slotOf().isEmpty()
                                && !ofEvents.contains(c.id().value()))
                        .map(c -> new CalendarFile.Entry(
                                c.id() + "@galecrest", c.due().minus(MARK), c.due(), "Due: " + c.name(), "", ""));
        return Stream.concat(others, going.stream().flatMap(CalendarService::entries));
    }

    private static Stream<CalendarFile.Entry> entries(EventResponse event) {
        Stream<CalendarFile.Entry> whole = event.back().isAfter(event.loadsAt())
                ? Stream.of(new CalendarFile.Entry(
                        event.id() + "@galecrest",
                        event.loadsAt(),
                        event.back(),
                        event.name(),
                        event.place(),
                        "loading to back"))
                : Stream.empty();
        return Stream.concat(
                whole,
                event.sessions().stream()
                        .map(s -> new CalendarFile.Entry(
                                s.id() + "@galecrest",
                                s.start(),
                                s.start().plus(Duration.ofMinutes(s.minutes())),
                                event.name() + ": " + s.name(),
                                event.place(),
                                "")));
    }

    /** The present plan as CSV (RFC 4180), in order of start, times local to the shop. */
    @LeadOrManager
    String csv() {
        PlanService.Current now = plans.current();
        ShopSnapshot shop = now.shop();
        ReasonText words = new ReasonText(shop);
        Map<WorkId, Work> works = new HashMap<>();
        shop.works().forEach(w -> works.put(w.id(), w));
        Map<Object, String> stations = new HashMap<>();
        shop.stations().forEach(s -> stations.put(s.id(), s.name()));
        StringBuilder file = new StringBuilder();
        file.append(CsvTable.line(Stream.of("car", "work", "start", "end", "ready", "crew", "station", "because")));
        for (Plan.Placed p : now.plan().placed()) {
            Work work = works.get(p.work());
            file.append(CsvTable.line(Stream.of(
                    words.build(work.build()),
                    work.name(),
                    local(shop, p.start()),
                    local(shop, p.end()),
                    local(shop, p.ready()),
                    p.crew().stream().map(words::person).collect(Collectors.joining("; ")),
                    p.station().map(stations::get).orElse(""),
                    words.reason(p.because()))));
        }
        return file.toString();
    }

    private static String local(ShopSnapshot shop, Instant at) {
        return LOCAL.format(ZonedDateTime.ofInstant(at, shop.zone()));
    }
}
