package galecrest.server.purchasing;

import java.util.List;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RestController;

/** What is outside the building: what must be chased or ordered, one part with all that is known, the outbox. */
@RestController
@RequestMapping("/api")
class DeskController {
    private final DeskService desk;

    DeskController(DeskService desk) {
        this.desk = desk;
    }

    @GetMapping("/desk")
    DeskResponse desk() {
        return desk.desk();
    }

    @GetMapping("/parts/{id}")
    PartResponse part(@PathVariable String id) {
        return desk.part(id);
    }

    @GetMapping("/mail")
    List<MailResponse> mail() {
        return desk.mail();
    }
}
