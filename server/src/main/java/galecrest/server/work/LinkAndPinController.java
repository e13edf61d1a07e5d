package galecrest.server.work;

import galecrest.server.AddedResponse;
import org.springframework.http.HttpStatus;
import org.springframework.web.bind.annotation.DeleteMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;

/** What comes before what, and what is pinned. */
@RestController
@RequestMapping("/api")
class LinkAndPinController {
    private final LinkAndPinService tying;

    LinkAndPinController(LinkAndPinService tying) {
        this.tying = tying;
    }

    @PostMapping("/links")
    AddedResponse addLink(@RequestBody LinkRequest form) {
        return new AddedResponse(tying.addLink(form));
    }

    @DeleteMapping("/links/{id}")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void removeLink(@PathVariable String id) {
        tying.removeLink(id);
    }

    @PostMapping("/pins")
    AddedResponse addPin(@RequestBody PinRequest form) {
        return new AddedResponse(tying.addPin(form));
    }

    @DeleteMapping("/pins/{id}")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void removePin(@PathVariable String id) {
        tying.removePin(id);
    }
}
