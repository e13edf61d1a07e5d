package galecrest.server.demo;

import galecrest.server.ShopClock;
import jakarta.annotation.PostConstruct;
import java.time.DayOfWeek;
import java.time.Instant;
import java.time.LocalTime;
import java.time.ZonedDateTime;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.context.annotation.Profile;
import org.springframework.stereotype.Component;

/**
 * The demo's own working time: opened at night or on a Sunday it is the next working morning, so that nobody comes into a
 * dead shop.
 */
@Component
@Profile("demo")
class DemoClock {
    private static final LocalTime OPENS = LocalTime.of(7, 30);
    private static final LocalTime LATE = LocalTime.of(15, 0);
    /** When the morning's first hour is over and everybody is at work. */
    private static final LocalTime MORNING = LocalTime.of(9, 10);
    /** Just after the shift has begun. */
    private static final LocalTime FIRST_THING = LocalTime.of(7, 40);

    private final ShopClock clock;
    private final DemoClockRepository kept;
    private final boolean moves;

    DemoClock(
            ShopClock clock,
            DemoClockRepository kept,
            @Value("${galecrest.start:}") String start,
            @Value("${galecrest.demo.moves:false}") boolean moves) {
        this.clock = clock;
        this.kept = kept;
        this.moves = moves || start.isBlank();
    }

    @PostConstruct
    void begin() {
        if (!moves) {
            return;
        }
        kept.ahead().ifPresent(clock::be);
        ZonedDateTime now = clock.instant().atZone(DemoShop.ZONE);
        boolean dead = isWeekend(now)
                || now.toLocalTime().isBefore(OPENS)
                || now.toLocalTime().isAfter(LATE);
        if (dead) {
            moveTo(morningAfter(now, now.toLocalTime().isBefore(OPENS), MORNING));
        }
    }

    /** Whether the demo may move it: not where it was set from outside. */
    boolean moves() {
        return moves;
    }

    Instant now() {
        return clock.instant();
    }

    /** The next working morning, first thing. */
    Instant nextMorning() {
        return morningAfter(clock.instant().atZone(DemoShop.ZONE), false, FIRST_THING);
    }

    void moveTo(Instant moment) {
        clock.moveTo(moment);
        kept.keep(clock.ahead());
    }

    private static Instant morningAfter(ZonedDateTime now, boolean today, LocalTime at) {
        ZonedDateTime day = today ? now : now.plusDays(1);
        while (isWeekend(day)) {
            day = day.plusDays(1);
        }
        return day.with(at).toInstant();
    }

    private static boolean isWeekend(ZonedDateTime day) {
        return day.getDayOfWeek() == DayOfWeek.SATURDAY || day.getDayOfWeek() == DayOfWeek.SUNDAY;
    }
}
