package galecrest.server.work;

import galecrest.core.people.PersonId;
import galecrest.core.plan.ShopSnapshot;
import galecrest.core.plan.SnapshotValidator;
import galecrest.core.shop.StationId;
import galecrest.core.work.Link;
import galecrest.core.work.LinkId;
import galecrest.core.work.Pin;
import galecrest.core.work.PinId;
import galecrest.core.work.WorkId;
import galecrest.server.NewId;
import galecrest.server.access.LeadOrManager;
import galecrest.server.access.ManagerOnly;
import galecrest.server.journal.Journal;
import galecrest.server.plan.PlanService;
import galecrest.server.problem.NotFoundException;
import galecrest.server.problem.ValidationException;
import java.util.ArrayList;
import java.util.List;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Service;

/** Tying work together and pinning it: what waits for what, who does it, where and when. */
@Service
class LinkAndPinService {
    private static final int MOST_LAG_MINUTES = 60 * 24 * 60;

    private final WorkRepository works;
    private final LinkRepository links;
    private final PlanService plans;
    private final Journal journal;

    LinkAndPinService(WorkRepository works, LinkRepository links, PlanService plans, Journal journal) {
        this.works = works;
        this.links = links;
        this.plans = plans;
        this.journal = journal;
    }

    @LeadOrManager
    String addLink(LinkRequest form) {
        if (form.firstId().equals(form.thenId())) {
            throw new ValidationException("firstId", "A job cannot wait for itself.");
        }
        String id = NewId.next();
        journal.judge(() -> {
            WorkSummary first = works.mustBe(form.firstId());
            WorkSummary then = works.mustBe(form.thenId());
            noCircle(form);
            links.insertLink(id, form);
            return then.name() + " now waits for " + first.name();
        });
        return id;
    }

    private void noCircle(LinkRequest form) {
        ShopSnapshot shop = plans.shopWithinChange();
        List<Link> all = new ArrayList<>(shop.links());
        all.add(Link.finishStart(new LinkId("new"), new WorkId(form.firstId()), new WorkId(form.thenId())));
        SnapshotValidator.circle(shop.works(), all).ifPresent(names -> {
            throw new ValidationException("firstId", "That would close a circle: " + String.join(" → ", names) + ".");
        });
    }

    @LeadOrManager
    void removeLink(String id) {
        journal.change("untied two jobs", () -> {
            if (!links.deleteLink(id)) {
                throw new NotFoundException("link");
            }
        });
    }

    @ManagerOnly
    String addPin(PinRequest form) {
        String id = NewId.next();
        Pin pin = pin(id, form);
        journal.judgeDraft(() -> {
            WorkSummary head = works.mustBe(form.workId());
            links.deletePins(form.workId(), form.kind());
            links.insertPin(id, form);
            plans.requireHeld(pin);
            return "pinned " + head.name();
        });
        return id;
    }

    private Pin pin(String id, PinRequest form) {
        PinId pin = new PinId(id);
        WorkId work = new WorkId(form.workId());
        return switch (form.kind()) {
            case PERSON -> new Pin.ToPerson(pin, work, new PersonId(said(form.personId(), "personId")));
            case STATION -> new Pin.ToStation(pin, work, new StationId(said(form.stationId(), "stationId")));
            case AFTER -> new Pin.After(pin, work, new WorkId(said(form.firstId(), "firstId")));
            case NOT_BEFORE -> new Pin.NotBefore(pin, work, said(form.at(), "at"));
            case EXACTLY -> new Pin.Exactly(pin, work, said(form.at(), "at"));
        };
    }

    private static <T> T said(@Nullable T value, String field) {
        if (value == null) {
            throw new ValidationException(field, "This kind of pin needs it.");
        }
        return value;
    }

    @ManagerOnly
    void removePin(String id) {
        journal.judgeDraft(() -> {
            String work = links.pinnedWork(id).orElseThrow(() -> new NotFoundException("pin"));
            links.deletePin(id);
            return "unpinned " + works.mustBe(work).name();
        });
    }
}
