package galecrest.server.rate;

import org.springframework.http.HttpStatus;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;

@RestController
@RequestMapping("/api")
class RatesController {
    private final RatesService rates;

    RatesController(RatesService rates) {
        this.rates = rates;
    }

    @PutMapping("/ledger")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void save(@RequestBody RatesRequest form) {
        rates.save(form);
    }
}
