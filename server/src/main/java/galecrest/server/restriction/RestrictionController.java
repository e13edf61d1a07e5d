package galecrest.server.restriction;

import org.springframework.http.HttpStatus;
import org.springframework.web.bind.annotation.DeleteMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;

/** What cars may not do. */
@RestController
@RequestMapping("/api")
class RestrictionController {
    private final RestrictionService restrictions;

    RestrictionController(RestrictionService restrictions) {
        this.restrictions = restrictions;
    }

    @PostMapping("/builds/{id}/restrictions")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void restrict(@PathVariable String id, @RequestBody RestrictionRequest form) {
        restrictions.restrict(id, form);
    }

    @DeleteMapping("/restrictions/{restriction}")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void lift(@PathVariable String restriction) {
        restrictions.lift(restriction);
    }
}
