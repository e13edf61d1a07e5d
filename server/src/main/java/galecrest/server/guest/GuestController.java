package galecrest.server.guest;

import org.springframework.http.HttpStatus;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;

@RestController
@RequestMapping("/api")
class GuestController {
    private final GuestService guests;

    GuestController(GuestService guests) {
        this.guests = guests;
    }

    @PostMapping("/works/{id}/guest")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void comes(@PathVariable String id, @RequestBody GuestRequest form) {
        guests.comes(id, form);
    }
}
