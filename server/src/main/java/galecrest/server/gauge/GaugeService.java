package galecrest.server.gauge;

import galecrest.core.gauge.Gauge;
import galecrest.core.gauge.GaugeRequest;
import galecrest.core.gauge.WrongRequest;
import galecrest.core.gauge.all.Gauges;
import galecrest.server.access.AnyHand;
import galecrest.server.problem.NotFoundException;
import java.util.List;
import java.util.Map;
import org.springframework.stereotype.Service;

/** Asks gauges without filing what they answer. */
@Service
class GaugeService {
    private final UnitsService units;

    GaugeService(UnitsService units) {
        this.units = units;
    }

    @AnyHand
    List<GaugeResponse> all() {
        return Gauges.ALL.stream().map(GaugeResponse::of).toList();
    }

    /**
     * What the gauge answers.
     *
     * @throws WrongRequest with all that is wrong with the request, by field
     */
    @AnyHand
    Map<String, Object> answer(String name, Map<String, Object> request) {
        Gauge gauge =
                Gauges.named(name).orElseThrow(() -> new NotFoundException("There is no gauge \"" + name + "\"."));
        return gauge.answer(GaugeRequest.of(units.meant(request))).values();
    }
}
