package galecrest.server.gauge;

import java.util.List;
import java.util.Map;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RestController;

/** Gauges over HTTP: asked, not filed. */
@RestController
@RequestMapping("/api/gauges")
class GaugeController {
    private final GaugeService gauges;

    GaugeController(GaugeService gauges) {
        this.gauges = gauges;
    }

    @GetMapping
    List<GaugeResponse> all() {
        return gauges.all();
    }

    @PostMapping("/{name}")
    Map<String, Object> answer(@PathVariable String name, @RequestBody Map<String, Object> request) {
        return gauges.answer(name, request);
    }
}
