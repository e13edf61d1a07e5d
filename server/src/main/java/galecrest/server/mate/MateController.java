package galecrest.server.mate;

import galecrest.core.mate.Bolts;
import java.util.List;
import org.springframework.http.HttpStatus;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;

/** What a part meets: both sides of its joints; how a bolt is tightened. */
@RestController
@RequestMapping("/api")
class MateController {
    private final MateService mates;

    MateController(MateService mates) {
        this.mates = mates;
    }

    @PutMapping("/parts/{id}/mates")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void mates(@PathVariable String id, @RequestBody List<MateRequest> joints) {
        mates.save(id, joints);
    }

    /** How a bolt may be tightened where the maker says nothing. */
    @GetMapping("/bolt")
    BoltResponse bolt(
            @RequestParam String thread,
            @RequestParam Bolts.PropertyClass strength,
            @RequestParam Bolts.Lubrication lubrication) {
        return mates.bolt(thread, strength, lubrication);
    }
}
