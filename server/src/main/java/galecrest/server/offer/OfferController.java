package galecrest.server.offer;

import java.util.List;
import org.springframework.http.HttpStatus;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;

/** Better plans on offer, over HTTP. */
@RestController
@RequestMapping("/api/offers")
class OfferController {
    private final OfferService offers;

    OfferController(OfferService offers) {
        this.offers = offers;
    }

    @GetMapping
    List<OfferResponse> standing() {
        return offers.standing();
    }

    @PostMapping("/{id}/take")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void take(@PathVariable String id) {
        offers.take(id);
    }

    @PostMapping("/{id}/keep")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void keep(@PathVariable String id) {
        offers.keep(id);
    }

    @PostMapping("/{id}/dismiss")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void dismiss(@PathVariable String id) {
        offers.dismiss(id);
    }
}
