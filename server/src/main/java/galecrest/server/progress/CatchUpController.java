package galecrest.server.progress;

import java.time.LocalDate;
import org.jspecify.annotations.Nullable;
import org.springframework.http.HttpStatus;
import org.springframework.web.bind.annotation.DeleteMapping;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;

/** Yesterday, as it was. */
@RestController
@RequestMapping("/api")
class CatchUpController {
    private final CatchUpService catchUp;

    CatchUpController(CatchUpService catchUp) {
        this.catchUp = catchUp;
    }

    @GetMapping("/catch-up")
    CatchUpResponse day(@RequestParam(required = false) @Nullable LocalDate day) {
        return catchUp.day(day);
    }

    @PostMapping("/catch-up")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void write(@RequestBody CatchUpRequest form) {
        catchUp.write(form);
    }

    @DeleteMapping("/worked/{id}")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void strike(@PathVariable String id) {
        catchUp.strike(id);
    }
}
