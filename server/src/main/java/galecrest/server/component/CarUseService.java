package galecrest.server.component;

import galecrest.core.build.BuildId;
import galecrest.core.component.CarUse;
import galecrest.core.component.Counter;
import galecrest.core.component.HeatCycles;
import galecrest.core.component.Wear;
import galecrest.server.access.AnyHand;
import galecrest.server.access.CurrentUser;
import galecrest.server.journal.Journal;
import galecrest.server.problem.NotFoundException;
import galecrest.server.problem.ValidationException;
import galecrest.server.shop.NameRepository;
import java.time.Clock;
import java.time.Instant;
import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.Map;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.springframework.stereotype.Service;

/** What wears cars: fires, runs, events and impacts, each counted once. */
@Service
public class CarUseService {

    private final CarUseRepository record;
    private final NameRepository names;
    private final Journal journal;
    private final Clock clock;
    private final CurrentUser who;

    CarUseService(CarUseRepository record, NameRepository names, Journal journal, Clock clock, CurrentUser who) {
        this.record = record;
        this.names = names;
        this.journal = journal;
        this.clock = clock;
        this.who = who;
    }

    /** Every use of every car, with the heat cycles that are complete by now. */
    List<CarUse> all() {
        List<CarUse> booked =
                record.all().stream().map(CarUseRepository.Booked::use).toList();
        Map<BuildId, List<CarUse>> byCar = booked.stream().collect(Collectors.groupingBy(CarUse::build));
        Instant now = clock.instant();
        Stream<CarUse> cycles = byCar.entrySet().stream()
                .flatMap(car -> HeatCycles.complete(car.getValue(), now).stream()
                        .map(warm -> new CarUse(
                                "", car.getKey(), warm, Wear.of(Counter.HEAT_CYCLES, 1), "a heat cycle", false)));
        return Stream.concat(booked.stream(), cycles).toList();
    }

    /** How often the engine of a car was started, and how many of its heats are complete. */
    public record Fires(int started, int complete) {}

    /** The fires of a car. */
    public Fires fires(String build) {
        List<CarUse> own = of(build).map(CarUseRepository.Booked::use).toList();
        return new Fires(
                (int) own.stream().mapToDouble(u -> u.wear().get(Counter.FIRES)).sum(),
                HeatCycles.complete(own, clock.instant()).size());
    }

    private Stream<CarUseRepository.Booked> of(String build) {
        return record.all().stream().filter(b -> b.use().build().value().equals(build));
    }

    @AnyHand
    List<UseResponse> log(String build) {
        List<UseResponse> log = new ArrayList<>(of(build)
                .map(b -> new UseResponse(
                        b.use().at(),
                        b.use().what(),
                        b.use().wear().said(),
                        b.use().warm(),
                        b.byName()))
                .toList());
        Collections.reverse(log);
        return log;
    }

    /** Books a use within the change that is open; false where that source has been booked already. */
    public boolean book(String source, String build, Instant at, Wear wear, boolean warm, String what) {
        return record.book(source, new CarUse("", new BuildId(build), at, wear, what, warm), who.name());
    }

    @AnyHand
    void bookByHand(String build, UseRequest form) {
        String what = form.what().strip();
        Wear wear = wear(form);
        journal.judge(() -> {
            String car = names.build(build).orElseThrow(() -> new NotFoundException("build"));
            Instant now = clock.instant();
            Instant at = form.at() == null ? now : form.at();
            if (at.isAfter(now)) {
                throw new ValidationException("at", "That is not over yet.");
            }
            CarUse use = new CarUse("", new BuildId(build), at, wear, what, form.warm());
            return record.book("hand:" + form.key(), use, who.name())
                    ? "booked for " + car + ", " + what + ": " + wear.said()
                    : null;
        });
    }

    private static Wear wear(UseRequest form) {
        Map<Counter, Double> amounts = Map.of(
                Counter.HOURS, form.hours(),
                Counter.DISTANCE, form.km(),
                Counter.EVENTS, form.events(),
                Counter.FIRES, form.fires(),
                Counter.IMPACTS, form.impacts());
        if (amounts.values().stream().allMatch(a -> a == 0)) {
            throw new ValidationException("hours", "Say how much it was used.");
        }
        return new Wear(amounts);
    }
}
