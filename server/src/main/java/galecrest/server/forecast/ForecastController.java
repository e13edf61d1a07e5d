package galecrest.server.forecast;

import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RestController;

@RestController
@RequestMapping("/api/ahead")
class ForecastController {
    private final ForecastService ahead;

    ForecastController(ForecastService ahead) {
        this.ahead = ahead;
    }

    @GetMapping
    ForecastResponse ahead() {
        return ahead.ahead();
    }
}
