package galecrest.server.gauge;

import org.springframework.http.HttpStatus;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;

/** Which units are shown first, over HTTP. */
@RestController
@RequestMapping("/api/units")
class UnitsController {
    private final UnitsService units;

    UnitsController(UnitsService units) {
        this.units = units;
    }

    @GetMapping
    UnitsResponse choices() {
        return units.choices();
    }

    @PutMapping("/house")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void ofTheHouse(@RequestBody UnitsRequest form) {
        units.ofTheHouse(form);
    }

    @PutMapping("/mine")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void own(@RequestBody UnitsRequest form) {
        units.own(form);
    }
}
