package galecrest.server.event;

import galecrest.server.AddedResponse;
import galecrest.server.Download;
import java.io.IOException;
import java.util.List;
import org.springframework.http.HttpStatus;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.web.bind.annotation.DeleteMapping;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;
import org.springframework.web.multipart.MultipartFile;

/** Events and tyres over HTTP. */
@RestController
@RequestMapping("/api")
class EventController {
    private final EventService events;
    private final TyreService tyres;
    private final TyreTableService table;

    EventController(EventService events, TyreService tyres, TyreTableService table) {
        this.events = events;
        this.tyres = tyres;
        this.table = table;
    }

    @GetMapping("/events")
    List<EventResponse> all() {
        return events.all();
    }

    @PostMapping("/events")
    AddedResponse add(@RequestBody EventRequest form) {
        return new AddedResponse(events.add(form));
    }

    @PutMapping("/events/{id}")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void change(@PathVariable String id, @RequestBody EventRequest form) {
        events.change(id, form);
    }

    @DeleteMapping("/events/{id}")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void remove(@PathVariable String id) {
        events.remove(id);
    }

    @PostMapping("/events/{id}/over")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void over(@PathVariable String id) {
        events.over(id);
    }

    @GetMapping("/events/{id}/tyres")
    List<TyrePlanResponse> plans(@PathVariable String id) {
        return tyres.plans(id);
    }

    @PutMapping("/events/{id}/tyre-locks")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void lock(@PathVariable String id, @RequestBody TyreLockRequest form) {
        tyres.lock(id, form);
    }

    @GetMapping(path = "/events/{id}/tyres.csv", produces = "text/csv")
    ResponseEntity<byte[]> exportTyres(@PathVariable String id) {
        return Download.csv("tyres.csv", table.export(id));
    }

    @PostMapping(path = "/events/{id}/tyres/import", consumes = MediaType.MULTIPART_FORM_DATA_VALUE)
    TakenTyresResponse takeInTyres(@PathVariable String id, @RequestParam MultipartFile file) throws IOException {
        return new TakenTyresResponse(table.takeIn(id, file.getBytes()));
    }

    @GetMapping("/tyre-sets")
    List<TyreSetResponse> sets() {
        return tyres.sets();
    }

    @PostMapping("/tyre-sets")
    AddedResponse addSet(@RequestBody TyreSetRequest form) {
        return new AddedResponse(tyres.add(form));
    }

    @PutMapping("/tyre-sets/{id}")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void changeSet(@PathVariable String id, @RequestBody TyreSetRequest form) {
        tyres.change(id, form);
    }

    @DeleteMapping("/tyre-sets/{id}")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void removeSet(@PathVariable String id) {
        tyres.remove(id);
    }
}
