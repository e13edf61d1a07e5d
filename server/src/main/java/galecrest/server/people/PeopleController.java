package galecrest.server.people;

import galecrest.server.AddedResponse;
import org.springframework.http.HttpStatus;
import org.springframework.web.bind.annotation.DeleteMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;

@RestController
@RequestMapping("/api/people")
class PeopleController {
    private final PeopleService people;

    PeopleController(PeopleService people) {
        this.people = people;
    }

    @PostMapping
    AddedResponse add(@RequestBody PersonRequest form) {
        return new AddedResponse(people.add(form));
    }

    @PutMapping("/{id}")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void change(@PathVariable String id, @RequestBody PersonRequest form) {
        people.change(id, form);
    }

    @DeleteMapping("/{id}")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void remove(@PathVariable String id) {
        people.remove(id);
    }

    @PostMapping("/{id}/shift-changes")
    AddedResponse addShiftChange(@PathVariable String id, @RequestBody ShiftChangeRequest form) {
        return new AddedResponse(people.addShiftChange(id, form));
    }

    @DeleteMapping("/{id}/shift-changes/{change}")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void removeShiftChange(@PathVariable String id, @PathVariable String change) {
        people.removeShiftChange(id, change);
    }
}
