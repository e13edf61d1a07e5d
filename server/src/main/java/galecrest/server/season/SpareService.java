package galecrest.server.season;

import galecrest.core.component.Component;
import galecrest.core.plan.ShopSnapshot;
import galecrest.core.season.SpareLevel;
import galecrest.core.work.Job;
import galecrest.core.work.Status;
import galecrest.server.access.AnyHand;
import galecrest.server.component.ComponentService;
import galecrest.server.event.EventResponse;
import galecrest.server.event.EventService;
import galecrest.server.plan.PlanService;
import java.util.List;
import java.util.Set;
import java.util.stream.Collectors;
import org.springframework.stereotype.Service;

/** How far the spare cars of an event are from running. */
@Service
class SpareService {
    private final EventService events;
    private final ComponentService components;
    private final PlanService plans;

    SpareService(EventService events, ComponentService components, PlanService plans) {
        this.events = events;
        this.components = components;
        this.plans = plans;
    }

    @AnyHand
    List<SpareResponse> of(String event) {
        EventResponse there = events.get(event);
        return plans.beside(now -> {
            List<Component> race = there.cars().stream()
                    .filter(c -> !c.spare())
                    .flatMap(c -> components.fitted(c.buildId()).stream())
                    .toList();
            return there.cars().stream()
                    .filter(EventResponse.EventCarResponse::spare)
                    .map(c -> response(c.buildId(), race, now.whole()))
                    .toList();
        });
    }

    private SpareResponse response(String build, List<Component> race, ShopSnapshot shop) {
        List<Job> open = shop.works().stream()
                .filter(w -> w.build().value().equals(build) && w.essential() && w.status() != Status.DONE)
                .filter(Job.class::isInstance)
                .map(Job.class::cast)
                .toList();
        int minutes = open.stream()
                .mapToInt(j -> (int) j.toDo().value() * Math.max(1, j.crew().size()))
                .sum();
        Set<String> needed = open.stream()
                .flatMap(j -> j.parts().stream())
                .map(Object::toString)
                .collect(Collectors.toSet());
        List<String> parts = shop.parts().stream()
                .filter(p -> needed.contains(p.id().toString()) && !p.state().here())
                .map(p -> p.name() + ", " + p.state().label())
                .toList();
        SpareLevel level = SpareLevel.of(components.fitted(build), race, minutes, parts);
        return new SpareResponse(build, level.complete(), level.shares(), level.minutes(), level.parts(), level.said());
    }
}
