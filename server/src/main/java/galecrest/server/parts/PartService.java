package galecrest.server.parts;

import galecrest.core.shop.Problem;
import galecrest.server.NewId;
import galecrest.server.access.LeadOrManager;
import galecrest.server.journal.Journal;
import galecrest.server.problem.BadInput;
import galecrest.server.problem.ChangedMeanwhile;
import galecrest.server.problem.NotThere;
import java.math.BigDecimal;
import java.util.ArrayList;
import java.util.List;
import org.springframework.stereotype.Service;

@Service
@LeadOrManager
class PartService {
    private final PartRepository parts;
    private final Journal journal;

    PartService(PartRepository parts, Journal journal) {
        this.parts = parts;
        this.journal = journal;
    }

    String add(PartController.PartForm form) {
        check(form, null);
        String id = NewId.next();
        journal.change("added the part " + form.name(), () -> parts.insert(id, form));
        return id;
    }

    void change(String id, PartController.PartForm form) {
        String name = parts.name(id).orElseThrow(() -> new NotThere("part"));
        check(form, id);
        journal.change(
                () -> {
                    String what = parts.whatChanges(id, form);
                    if (!parts.update(id, form)) {
                        throw new ChangedMeanwhile(
                                "Somebody else changed the part " + name + " meanwhile.", parts.version(id), List.of());
                    }
                    return what;
                },
                what -> what);
    }

    void remove(String id) {
        String name = parts.name(id).orElseThrow(() -> new NotThere("part"));
        journal.change("removed the part " + name, () -> parts.delete(id));
    }

    private void check(PartController.PartForm form, String id) {
        List<Problem> problems = new ArrayList<>();
        if (form.name().isBlank()) {
            problems.add(new Problem("name", "A part needs a name."));
        }
        if (form.price() != null
                && (form.price().signum() < 0
                        || form.price().compareTo(BigDecimal.valueOf(10_000_000)) > 0
                        || form.price().scale() > 2)) {
            problems.add(new Problem("price", "A price is between 0 and 10 000 000, in whole cents."));
        }
        boolean some = form.arrivalLow() != null || form.arrivalLikely() != null || form.arrivalHigh() != null;
        boolean all = form.arrivalLow() != null && form.arrivalLikely() != null && form.arrivalHigh() != null;
        if (some && !all) {
            problems.add(new Problem("arrivalLikely", "Give all three dates (earliest, likely, latest) or none."));
        } else if (all && form.arrivalLikely().isBefore(form.arrivalLow())) {
            problems.add(new Problem("arrivalLow", "The earliest arrival is after the likely one."));
        } else if (all && form.arrivalHigh().isBefore(form.arrivalLikely())) {
            problems.add(new Problem("arrivalHigh", "The latest arrival is before the likely one."));
        }
        if (form.inspectionMinutes() < 0 || form.inspectionMinutes() > 10_000) {
            problems.add(new Problem("inspectionMinutes", "The inspection takes 0 to 10 000 min."));
        }
        if (form.pairedWith() != null && form.pairedWith().equals(id)) {
            problems.add(new Problem("pairedWith", "A part cannot be the other half of itself."));
        }
        for (String work : form.neededBy()) {
            if (!parts.isJobOf(work, form.buildId())) {
                problems.add(new Problem("neededBy", "A part can only be needed by jobs of its own build."));
            }
        }
        BadInput.throwIfAny(problems);
    }
}
