package galecrest.server;

import org.springframework.stereotype.Controller;
import org.springframework.web.bind.annotation.GetMapping;

/** The rooms of the web client have addresses of their own; each is served the same page. */
@Controller
class WebController {
    @GetMapping({
        "/walk",
        "/desk",
        "/ledger/{*rest}",
        "/c/{token}",
        "/wall/{token}",
        "/welcome/{token}",
        "/runway",
        "/rehearse",
        "/rehearse/{id}",
        "/build",
        "/build/{id}",
        "/gauges",
        "/gauges/{id}",
        "/gauges/{id}/{gauge}",
        "/events",
        "/events/{id}",
        "/rollout",
        "/rollout/{id}",
        "/rollout/{id}/{at}",
        "/shop",
        "/shop/{tab}",
        "/day"
    })
    String page() {
        return "forward:/index.html";
    }
}
