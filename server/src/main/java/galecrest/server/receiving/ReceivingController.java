package galecrest.server.receiving;

import java.util.List;
import org.springframework.http.HttpStatus;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;

/** Deliveries looked over, and parts fitted. */
@RestController
@RequestMapping("/api")
class ReceivingController {
    private final ReceivingService receiving;

    ReceivingController(ReceivingService receiving) {
        this.receiving = receiving;
    }

    /** What lies there to be looked over, and what should come today. */
    @GetMapping("/arrivals")
    List<ArrivalResponse> arrivals() {
        return receiving.open();
    }

    @PostMapping("/parts/{id}/inspection")
    InspectedResponse inspect(@PathVariable String id, @RequestBody InspectionRequest form) {
        return receiving.inspect(id, form);
    }

    @PostMapping("/parts/{id}/fit")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void fit(@PathVariable String id, @RequestBody FitRequest form) {
        receiving.fit(id, form);
    }
}
