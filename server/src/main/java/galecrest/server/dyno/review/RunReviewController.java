package galecrest.server.dyno.review;

import java.util.List;
import org.springframework.http.HttpStatus;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;

@RestController
@RequestMapping("/api")
class RunReviewController {
    private final RunReviewService reviewed;

    RunReviewController(RunReviewService reviewed) {
        this.reviewed = reviewed;
    }

    /** The channels of a run for a picture so many columns wide, and its review. */
    @GetMapping("/runs/{run}/trace")
    TraceResponse trace(@PathVariable String run, @RequestParam(defaultValue = "600") int columns) {
        return reviewed.trace(run, columns);
    }

    @GetMapping("/builds/{id}/review-limits")
    List<ReviewLimitResponse> limits(@PathVariable String id) {
        return reviewed.limits(id);
    }

    /** Gives a car its own limits; an empty list goes back to the usual ones. */
    @PutMapping("/builds/{id}/review-limits")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void setLimits(@PathVariable String id, @RequestBody List<ReviewLimitRequest> form) {
        reviewed.setLimits(id, form);
    }
}
