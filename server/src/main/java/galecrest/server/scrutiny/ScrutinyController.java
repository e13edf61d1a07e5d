package galecrest.server.scrutiny;

import galecrest.server.AddedResponse;
import java.util.List;
import org.springframework.http.HttpStatus;
import org.springframework.web.bind.annotation.DeleteMapping;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;

/** Inspections and impacts over HTTP. */
@RestController
@RequestMapping("/api")
class ScrutinyController {
    private final ScrutinyService inspections;
    private final ImpactService impacts;

    ScrutinyController(ScrutinyService inspections, ImpactService impacts) {
        this.inspections = inspections;
        this.impacts = impacts;
    }

    @GetMapping("/builds/{id}/inspections")
    List<ScrutinyResponse> of(@PathVariable String id) {
        return inspections.of(id);
    }

    @PostMapping("/builds/{id}/inspections")
    AddedResponse begin(@PathVariable String id, @RequestBody ScrutinyRequest form) {
        return new AddedResponse(inspections.begin(id, form));
    }

    @PutMapping("/inspections/{inspection}")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void change(@PathVariable String inspection, @RequestBody ScrutinyRequest form) {
        inspections.change(inspection, form);
    }

    @DeleteMapping("/inspections/{inspection}")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void drop(@PathVariable String inspection) {
        inspections.drop(inspection);
    }

    @PostMapping("/inspections/{inspection}/lines")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void addLine(@PathVariable String inspection, @RequestBody ScrutinyLineRequest form) {
        inspections.addLine(inspection, form);
    }

    @PutMapping("/inspection-lines/{line}")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void say(@PathVariable String line, @RequestBody ScrutinyLineRequest form) {
        inspections.say(line, form);
    }

    @PostMapping("/inspections/{inspection}/sign")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void sign(@PathVariable String inspection) {
        inspections.sign(inspection);
    }

    @GetMapping("/impact-looks")
    List<LooksResponse> looks() {
        return impacts.looks();
    }

    @PostMapping("/builds/{id}/impacts")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void hit(@PathVariable String id, @RequestBody ImpactRequest form) {
        impacts.hit(id, form);
    }
}
