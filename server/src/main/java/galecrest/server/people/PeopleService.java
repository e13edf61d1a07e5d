package galecrest.server.people;

import galecrest.core.people.ShiftChange;
import galecrest.core.shop.Problem;
import galecrest.core.time.DateStyle;
import galecrest.core.time.Shift;
import galecrest.server.NewId;
import galecrest.server.access.ManagerOnly;
import galecrest.server.journal.Journal;
import galecrest.server.problem.ConflictException;
import galecrest.server.problem.NotFoundException;
import galecrest.server.problem.ValidationException;
import galecrest.server.shop.NameRepository;
import java.time.LocalTime;
import java.util.ArrayList;
import java.util.List;
import org.springframework.stereotype.Service;

@Service
@ManagerOnly
class PeopleService {

    private final PeopleRepository people;
    private final Journal journal;
    private final NameRepository names;

    PeopleService(PeopleRepository people, Journal journal, NameRepository names) {
        this.names = names;
        this.people = people;
        this.journal = journal;
    }

    String add(PersonRequest form) {
        check(form);
        String id = NewId.next();
        journal.change("took on " + form.name(), () -> people.insert(id, form));
        return id;
    }

    void change(String id, PersonRequest form) {
        check(form);
        journal.change("changed " + form.name(), () -> {
            String name = nameOf(id);
            if (!people.update(id, form)) {
                throw new ConflictException(
                        "Somebody else changed " + name + " meanwhile; nothing of yours was saved.",
                        people.version(id),
                        List.of());
            }
        });
    }

    void remove(String id) {
        journal.judge(() -> {
            String name = nameOf(id);
            people.delete(id);
            return "took " + name + " off the list";
        });
    }

    String addShiftChange(String person, ShiftChangeRequest form) {
        LocalTime start = form.start() == null ? LocalTime.MIDNIGHT : form.start();
        LocalTime end = form.end() == null ? LocalTime.MIDNIGHT : form.end();
        List<Problem> problems = new ArrayList<>();
        if (form.to().isBefore(form.from())) {
            problems.add(new Problem("to", "The last day must be on or after the first."));
        }
        if (!Shift.startsBeforeEnd(start, end)) {
            problems.add(new Problem("end", "The hours end (" + end + ") before they start (" + start + ")."));
        }
        if (form.kind() == ShiftChange.Kind.AWAY) {
            problems.add(new Problem("kind", "Who goes along with a car is said at the car's date."));
        }
        if (form.kind() == ShiftChange.Kind.EXTRA && (form.start() == null || form.end() == null)) {
            problems.add(new Problem("start", "An extra shift needs its hours."));
        }
        ValidationException.throwIfAny(problems);
        String id = NewId.next();
        String what = form.kind() == ShiftChange.Kind.LEAVE ? "leave" : "an extra shift";
        DateStyle says = names.says();
        String summary = nameOf(person) + ": " + what + " " + says.day(form.from())
                + (form.to().equals(form.from()) ? "" : " to " + says.day(form.to()));
        journal.change(summary, () -> people.insertShiftChange(id, person, form, start, end));
        return id;
    }

    void removeShiftChange(String person, String change) {
        String name = nameOf(person);
        journal.change("took leave or an extra shift of " + name + " back", () -> {
            if (!people.deleteShiftChange(person, change)) {
                throw new NotFoundException("leave or extra shift");
            }
        });
    }

    private String nameOf(String id) {
        return people.name(id).orElseThrow(() -> new NotFoundException("person"));
    }

    private static void check(PersonRequest form) {
        List<Problem> problems = new ArrayList<>();
        problems.addAll(hourProblems("shifts", form.shifts()));
        for (int i = 0; i < form.skills().size(); i++) {
            if (form.skills().get(i).skill().isBlank()) {
                problems.add(new Problem("skills." + i, "The skill needs a name."));
            }
        }
        ValidationException.throwIfAny(problems);
    }

    /** What is wrong with hours by weekday; also of vendors. */
    static List<Problem> hourProblems(String field, List<HoursRequest> hours) {
        List<Problem> problems = new ArrayList<>();
        for (int i = 0; i < hours.size(); i++) {
            HoursRequest shift = hours.get(i);
            if (shift.day() < 1 || shift.day() > 7) {
                problems.add(new Problem(field + "." + i, "The day is 1 (Monday) to 7 (Sunday)."));
            } else if (!Shift.startsBeforeEnd(shift.start(), shift.end())) {
                problems.add(new Problem(
                        field + "." + i,
                        "The shift ends (" + shift.end() + ") before it starts (" + shift.start() + ")."));
            }
        }
        return problems;
    }
}
