package galecrest.server.work;

import galecrest.core.people.PersonId;
import galecrest.core.work.Pin;
import galecrest.core.work.PinId;
import galecrest.core.work.WorkId;
import galecrest.server.NewId;
import galecrest.server.access.LeadOrManager;
import galecrest.server.access.ManagerOnly;
import galecrest.server.plan.PlanService;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Service;

/** Pins that come with something else, within the change that is open. */
@Service
public class PinningService {
    private final LinkRepository links;
    private final PlanService plans;

    PinningService(LinkRepository links, PlanService plans) {
        this.links = links;
        this.plans = plans;
    }

    /** An errand is run by that person, with that vehicle, where one is named; by whoever sends them. */
    @LeadOrManager
    public void forErrand(String work, @Nullable String person, @Nullable String vehicle) {
        if (person != null) {
            String id = NewId.next();
            links.insertPin(id, new PinRequest(work, PinKind.PERSON, person, null, null, null));
            plans.requireHeld(new Pin.ToPerson(new PinId(id), new WorkId(work), new PersonId(person)));
        }
        if (vehicle != null) {
            links.insertPin(NewId.next(), new PinRequest(work, PinKind.STATION, null, vehicle, null, null));
        }
    }

    /** The job is done by that person, who must be able to. */
    @ManagerOnly
    public void toPerson(String work, String person) {
        String id = NewId.next();
        links.insertPin(id, new PinRequest(work, PinKind.PERSON, person, null, null, null));
        plans.requireHeld(new Pin.ToPerson(new PinId(id), new WorkId(work), new PersonId(person)));
    }
}
