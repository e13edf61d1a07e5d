package galecrest.core.shop;

import galecrest.core.time.Closure;
import java.util.List;

/** A place where work happens; one car at a time. Stations of one kind are interchangeable. */
public record Station(StationId id, String name, String kind, List<Closure> closures) {
    public Station {
        closures = List.copyOf(closures);
    }
}
