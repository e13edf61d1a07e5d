package galecrest.server.carsheet;

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
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;

/** The car's log over HTTP. */
@RestController
@RequestMapping("/api/builds/{id}/notes")
class CarNoteController {
    private final CarNoteService notes;

    CarNoteController(CarNoteService notes) {
        this.notes = notes;
    }

    @GetMapping
    List<CarNoteResponse> of(@PathVariable String id, @RequestParam(defaultValue = "") String find) {
        return notes.of(id, find);
    }

    @PostMapping
    AddedResponse add(@PathVariable String id, @RequestBody CarNoteRequest form) {
        return new AddedResponse(notes.add(id, form));
    }

    @PutMapping("/{note}")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void change(@PathVariable String id, @PathVariable String note, @RequestBody CarNoteRequest form) {
        notes.change(id, note, form);
    }

    @DeleteMapping("/{note}")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void remove(@PathVariable String id, @PathVariable String note) {
        notes.remove(id, note);
    }
}
