package galecrest.server.demo;

import galecrest.server.problem.NotFoundException;
import org.springframework.beans.factory.ObjectProvider;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RestController;

/** What only the demo can do; elsewhere there is no such thing. */
@RestController
@RequestMapping("/api/demo")
class DemoController {
    private final ObjectProvider<DemoDay> day;

    DemoController(ObjectProvider<DemoDay> day) {
        this.day = day;
    }

    @PostMapping("/next-morning")
    MorningResponse nextMorning() {
        DemoDay demo = day.getIfAvailable();
        if (demo == null) {
            throw new NotFoundException("demo");
        }
        return new MorningResponse(demo.nextMorning());
    }
}
