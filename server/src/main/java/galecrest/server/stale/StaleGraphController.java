package galecrest.server.stale;

import org.springframework.http.HttpStatus;
import org.springframework.web.bind.annotation.DeleteMapping;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;

/** What disturbs what, over HTTP. */
@RestController
@RequestMapping("/api")
class StaleGraphController {
    private final StaleGraphService graphs;

    StaleGraphController(StaleGraphService graphs) {
        this.graphs = graphs;
    }

    @GetMapping("/disturbances")
    StaleGraphResponse graph() {
        return graphs.graph();
    }

    @PutMapping("/disturbances")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void change(@RequestBody StaleGraphRequest form) {
        graphs.change(form);
    }

    @DeleteMapping("/disturbances")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void usual() {
        graphs.usual();
    }

    @GetMapping("/works/{id}/disturbs")
    CarriedResponse of(@PathVariable String id) {
        return graphs.of(id);
    }

    @PutMapping("/works/{id}/disturbs")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void carry(@PathVariable String id, @RequestBody CarriedRequest form) {
        graphs.carry(id, form);
    }
}
