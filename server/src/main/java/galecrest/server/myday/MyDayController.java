package galecrest.server.myday;

import galecrest.server.forecast.ForecastService;
import java.util.List;
import org.jspecify.annotations.Nullable;
import org.springframework.http.HttpStatus;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;

@RestController
@RequestMapping("/api/my-day")
class MyDayController {
    private final MyDayService days;
    private final ForecastService ahead;

    MyDayController(MyDayService days, ForecastService ahead) {
        this.days = days;
        this.ahead = ahead;
    }

    @GetMapping
    MyDayResponse myDay(@RequestParam(required = false) @Nullable String person) {
        return days.myDay(person);
    }

    /** What could be begun at once, before its turn. */
    @GetMapping("/could")
    List<String> couldStart() {
        return ahead.couldStart();
    }

    @PostMapping("/looked")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void looked() {
        days.looked();
    }
}
