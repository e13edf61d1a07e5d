package galecrest.server.gauge;

import galecrest.server.AddedResponse;
import java.util.List;
import org.springframework.http.HttpStatus;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;

/** The log of measurements of a car. */
@RestController
@RequestMapping("/api/builds/{id}/measurements")
class MeasurementController {
    private final MeasurementService measurements;

    MeasurementController(MeasurementService measurements) {
        this.measurements = measurements;
    }

    @GetMapping
    List<MeasurementResponse> of(@PathVariable String id) {
        return measurements.of(id);
    }

    @PostMapping
    AddedResponse file(@PathVariable String id, @RequestBody MeasurementRequest form) {
        return new AddedResponse(measurements.file(id, form));
    }

    /** Shows a sheet to the customer, or takes it back. */
    @PutMapping("/{sheet}/shown")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void show(@PathVariable String id, @PathVariable String sheet, @RequestBody ShownRequest form) {
        measurements.show(id, sheet, form.shown());
    }
}
