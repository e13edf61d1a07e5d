package galecrest.server.sheet;

import java.util.List;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RestController;

/** Jobs for what is stale. */
@RestController
@RequestMapping("/api/builds/{id}/renewals")
class RenewalController {
    private final RenewalService renewals;

    RenewalController(RenewalService renewals) {
        this.renewals = renewals;
    }

    @PostMapping
    List<String> renew(@PathVariable String id) {
        return renewals.renew(id);
    }
}
