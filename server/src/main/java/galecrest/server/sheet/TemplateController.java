package galecrest.server.sheet;

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

/** Templates: those that ship with the shop, and the house's own. */
@RestController
@RequestMapping("/api")
class TemplateController {
    private final TemplateService templates;
    private final JobSheetService sheets;

    TemplateController(TemplateService templates, JobSheetService sheets) {
        this.templates = templates;
        this.sheets = sheets;
    }

    @GetMapping("/templates")
    List<TemplateResponse> all() {
        return templates.all();
    }

    @GetMapping("/templates/{id}")
    TemplateSheetResponse sheet(@PathVariable String id) {
        return templates.sheet(id);
    }

    @PostMapping("/templates")
    AddedResponse add(@RequestBody TemplateRequest form) {
        return new AddedResponse(templates.add(form));
    }

    @PostMapping("/templates/of-build")
    AddedResponse ofBuild(@RequestBody TemplateOfBuildRequest form) {
        return new AddedResponse(templates.ofBuild(form.name(), sheets.export(form.buildId())));
    }

    @PutMapping("/templates/{id}")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void change(@PathVariable String id, @RequestBody TemplateRequest form) {
        templates.change(id, form);
    }

    @DeleteMapping("/templates/{id}")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void remove(@PathVariable String id) {
        templates.remove(id);
    }

    @PostMapping("/builds/{id}/template")
    ImportedJobsResponse addTo(@PathVariable String id, @RequestBody AddTemplateRequest form) {
        return new ImportedJobsResponse(sheets.addTemplate(id, form.template()));
    }
}
