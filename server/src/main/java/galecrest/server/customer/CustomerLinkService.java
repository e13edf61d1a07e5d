package galecrest.server.customer;

import galecrest.server.NewId;
import galecrest.server.access.CurrentUser;
import galecrest.server.access.ManagerOnly;
import galecrest.server.journal.Journal;
import galecrest.server.problem.NotFoundException;
import galecrest.server.problem.ValidationException;
import java.time.Clock;
import java.time.Duration;
import java.util.List;
import org.springframework.stereotype.Service;

/** Links for customers: unguessable, with an end, revocable at any time. */
@Service
class CustomerLinkService {
    /** Open at once for one build. */
    private static final int MOST = 20;

    private final CustomerLinkRepository links;
    private final Journal journal;
    private final Clock clock;
    private final CurrentUser who;

    CustomerLinkService(CustomerLinkRepository links, Journal journal, Clock clock, CurrentUser who) {
        this.links = links;
        this.journal = journal;
        this.clock = clock;
        this.who = who;
    }

    @ManagerOnly
    List<CustomerLinkResponse> of(String build) {
        return links.of(build);
    }

    @ManagerOnly
    MadeLinkResponse make(String build, CustomerLinkRequest form) {
        String name = links.build(build).orElseThrow(() -> new NotFoundException("build"));
        String token = NewId.secret();
        String id = NewId.next();
        journal.judge(() -> {
            if (links.of(build).stream()
                            .filter(l -> l.revokedAt() == null && l.expiresAt().isAfter(clock.instant()))
                            .count()
                    >= MOST) {
                throw new ValidationException(
                        "days", "There are " + MOST + " links for the " + name + " already; revoke one first.");
            }
            links.insert(
                    id,
                    NewId.hash(token),
                    build,
                    clock.instant(),
                    who.name(),
                    clock.instant().plus(Duration.ofDays(form.days())),
                    form.money());
            return "made a customer's link for the " + name;
        });
        return new MadeLinkResponse(id, "/c/" + token);
    }

    @ManagerOnly
    void revoke(String id) {
        journal.change("revoked a customer's link", () -> {
            if (!links.revoke(id, clock.instant())) {
                throw new NotFoundException("link");
            }
        });
    }

    /** What the link reaches; the answer is the same whether it never was, has ended or was revoked. */
    CustomerLinkRow open(String token) {
        return links.open(NewId.hash(token), clock.instant()).orElseThrow(() -> new NotFoundException("page"));
    }
}
