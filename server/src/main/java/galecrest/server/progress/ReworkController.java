package galecrest.server.progress;

import galecrest.server.AddedResponse;
import java.util.List;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RestController;

/** Finished work, doing it again, and splitting what is to do. */
@RestController
@RequestMapping("/api")
class ReworkController {
    private final ReworkService rework;

    ReworkController(ReworkService rework) {
        this.rework = rework;
    }

    @GetMapping("/builds/{id}/finished")
    List<FinishedResponse> finished(@PathVariable String id) {
        return rework.finished(id);
    }

    @PostMapping("/works/{id}/again")
    AddedResponse again(@PathVariable String id, @RequestBody ReworkRequest form) {
        return new AddedResponse(rework.again(id, form));
    }

    @PostMapping("/works/{id}/split")
    AddedResponse split(@PathVariable String id, @RequestBody SplitRequest form) {
        return new AddedResponse(rework.split(id, form));
    }
}
