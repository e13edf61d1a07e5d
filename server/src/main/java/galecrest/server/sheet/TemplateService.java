package galecrest.server.sheet;

import galecrest.core.sheet.JobSheet;
import galecrest.core.sheet.SheetLine;
import galecrest.server.NewId;
import galecrest.server.access.AnyHand;
import galecrest.server.access.LeadOrManager;
import galecrest.server.journal.Journal;
import galecrest.server.problem.ConflictException;
import galecrest.server.problem.NotFoundException;
import galecrest.server.problem.ValidationException;
import java.io.IOException;
import java.io.InputStream;
import java.nio.charset.StandardCharsets;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.stream.Stream;
import org.springframework.core.io.ClassPathResource;
import org.springframework.stereotype.Service;

/** Templates are job sheets: those that ship with the shop, and the house's own, which may be changed. */
@Service
public class TemplateService {
    /** The templates that ship with the shop, by file name, in the order in which they are offered. */
    static final Map<String, String> SHIPPED = new LinkedHashMap<>();

    static {
        SHIPPED.put("strip-and-rebuild", "Strip and rebuild");
        SHIPPED.put("cage-and-shell", "Cage and shell");
        SHIPPED.put("engine-swap", "Engine swap");
        SHIPPED.put("rewire", "Rewire");
        SHIPPED.put("annual-refresh", "Annual refresh");
        SHIPPED.put("nut-and-bolt-week", "Nut-and-bolt week");
    }

    private final TemplateRepository templates;
    private final Journal journal;

    TemplateService(TemplateRepository templates, Journal journal) {
        this.templates = templates;
        this.journal = journal;
    }

    @AnyHand
    List<TemplateResponse> all() {
        return Stream.concat(
                        templates.all().stream()
                                .map(t -> response(
                                        t.id(), t.name(), true, read(t.sheet()).lines())),
                        SHIPPED.entrySet().stream()
                                .map(t -> response(t.getKey(), t.getValue(), false, shipped(t.getKey()))))
                .toList();
    }

    private static TemplateResponse response(String id, String name, boolean own, List<SheetLine> lines) {
        return new TemplateResponse(
                id,
                name,
                own,
                lines.size(),
                lines.stream().mapToInt(l -> l.spec().likelyMinutes()).sum(),
                lines.stream().map(SheetLine::stage).distinct().toList());
    }

    /** The lines of a template. */
    public List<SheetLine> lines(String id) {
        if (SHIPPED.containsKey(id)) {
            return shipped(id);
        }
        return templates
                .find(id)
                .map(t -> read(t.sheet()).lines())
                .orElseThrow(() -> new ValidationException("template", "There is no template \"" + id + "\"."));
    }

    /** The jobs that measure anew, each under the name of what it measures. */
    List<SheetLine> renewals() {
        return shipped("renewals");
    }

    private static List<SheetLine> shipped(String id) {
        JobSheet.Read read = read(file(id));
        if (!read.problems().isEmpty()) {
            throw new IllegalStateException("The template " + id + " is wrong: " + read.problems());
        }
        return read.lines();
    }

    private static String file(String id) {
        try (InputStream file = new ClassPathResource("templates/" + id + ".csv").getInputStream()) {
            return new String(file.readAllBytes(), StandardCharsets.UTF_8);
        } catch (IOException e) {
            throw new IllegalStateException(e);
        }
    }

    private static JobSheet.Read read(String sheet) {
        return JobSheetCsv.read(sheet.getBytes(StandardCharsets.UTF_8), JobSheet.Known.ANYTHING);
    }

    @AnyHand
    TemplateSheetResponse sheet(String id) {
        if (SHIPPED.containsKey(id)) {
            return new TemplateSheetResponse(id, SHIPPED.get(id), file(id), false, 0);
        }
        return templates
                .find(id)
                .map(t -> new TemplateSheetResponse(t.id(), t.name(), t.sheet(), true, t.version()))
                .orElseThrow(() -> new NotFoundException("template"));
    }

    @LeadOrManager
    String add(TemplateRequest form) {
        return journal.change(
                () -> {
                    check(form, "");
                    String id = NewId.next();
                    templates.insert(id, form.name().strip(), form.sheet());
                    return id;
                },
                id -> "made the template " + form.name().strip());
    }

    /** The work of a build under a name: what was done and what is to do, without dates, people and parts. */
    @LeadOrManager
    String ofBuild(String name, String sheet) {
        return add(new TemplateRequest(name, sheet, 0));
    }

    @LeadOrManager
    void change(String id, TemplateRequest form) {
        journal.judge(() -> {
            TemplateRepository.TemplateRow there =
                    templates.find(id).orElseThrow(() -> new NotFoundException("template"));
            check(form, id);
            if (!templates.update(id, form.name().strip(), form.sheet(), form.version())) {
                throw new ConflictException(
                        "Somebody else changed the template " + there.name() + " meanwhile.",
                        there.version(),
                        List.of());
            }
            return "changed the template " + form.name().strip();
        });
    }

    @LeadOrManager
    void remove(String id) {
        journal.judge(() -> {
            String name = templates
                    .find(id)
                    .orElseThrow(() -> new NotFoundException("template"))
                    .name();
            templates.delete(id);
            return "removed the template " + name;
        });
    }

    private void check(TemplateRequest form, String id) {
        String name = form.name().strip();
        if (templates.isNamed(name, id) || SHIPPED.containsValue(name)) {
            throw new ValidationException("name", "There is a template of that name already.");
        }
        JobSheet.Read read = read(form.sheet());
        ValidationException.throwIfAny(read.problems());
        if (read.lines().isEmpty()) {
            throw new ValidationException("sheet", "A template has at least one job.");
        }
    }
}
