package galecrest.server.people;

import galecrest.core.people.Level;
import galecrest.core.people.ShiftChange;
import java.math.BigDecimal;
import java.time.LocalDate;
import java.time.LocalTime;
import java.util.List;
import org.jspecify.annotations.Nullable;
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

    record SkillForm(String skill, Level level) {}

    /** Hours on a weekday, 1 for Monday; an end of 00:00 is midnight at the day's end. */
    record HoursForm(int day, LocalTime start, LocalTime end) {}

    record PersonForm(
            String name, List<SkillForm> skills, List<HoursForm> shifts, BigDecimal costPerHour, int version) {}

    /** Leave or an extra shift; without hours it is the whole day. */
    record ShiftChangeForm(
            ShiftChange.Kind kind,
            LocalDate from,
            LocalDate to,
            @Nullable LocalTime start,
            @Nullable LocalTime end,
            String note) {}

    record Added(String id) {}

    @PostMapping
    Added add(@RequestBody PersonForm form) {
        return new Added(people.add(form));
    }

    @PutMapping("/{id}")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void change(@PathVariable String id, @RequestBody PersonForm form) {
        people.change(id, form);
    }

    @DeleteMapping("/{id}")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void remove(@PathVariable String id) {
        people.remove(id);
    }

    @PostMapping("/{id}/shift-changes")
    Added addShiftChange(@PathVariable String id, @RequestBody ShiftChangeForm form) {
        return new Added(people.addShiftChange(id, form));
    }

    @DeleteMapping("/{id}/shift-changes/{change}")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void removeShiftChange(@PathVariable String id, @PathVariable String change) {
        people.removeShiftChange(id, change);
    }
}
