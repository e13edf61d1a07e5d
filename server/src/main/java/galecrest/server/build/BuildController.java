package galecrest.server.build;

import org.springframework.http.HttpStatus;
import org.springframework.web.bind.annotation.DeleteMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;

/** Builds and what is in them. */
@RestController
@RequestMapping("/api")
public class BuildController {
    private final BuildService builds;
    private final WorkService works;
    private final ProgressService progress;
    private final TyingService tying;
    private final CaptureService capture;
    private final JobSheetService sheets;

    BuildController(
            BuildService builds,
            WorkService works,
            ProgressService progress,
            TyingService tying,
            CaptureService capture,
            JobSheetService sheets) {
        this.progress = progress;
        this.tying = tying;
        this.sheets = sheets;
        this.builds = builds;
        this.works = works;
        this.capture = capture;
    }

    @PostMapping("/builds")
    AddedResponse addBuild(@RequestBody NewBuildRequest form) {
        return new AddedResponse(sheets.newBuild(form));
    }

    @PutMapping("/builds/{id}")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void change(@PathVariable String id, @RequestBody BuildRequest form) {
        builds.change(id, form);
    }

    @DeleteMapping("/builds/{id}")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void removeBuild(@PathVariable String id) {
        builds.remove(id);
    }

    @PostMapping("/builds/{id}/capture")
    CapturedResponse capture(@PathVariable String id, @RequestBody CaptureRequest form) {
        return capture.capture(id, form.text());
    }

    @PostMapping("/jobs")
    AddedResponse addJob(@RequestBody JobRequest form) {
        return new AddedResponse(works.addJob(form));
    }

    @PutMapping("/jobs/{id}")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void changeJob(@PathVariable String id, @RequestBody JobRequest form) {
        works.changeJob(id, form);
    }

    @PostMapping("/outwork")
    AddedResponse addOutwork(@RequestBody OutworkRequest form) {
        return new AddedResponse(works.addOutwork(form));
    }

    @PutMapping("/outwork/{id}")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void changeOutwork(@PathVariable String id, @RequestBody OutworkRequest form) {
        works.changeOutwork(id, form);
    }

    @PostMapping("/running-in")
    AddedResponse addRunningIn(@RequestBody RunningInRequest form) {
        return new AddedResponse(works.addRunningIn(form));
    }

    @PutMapping("/running-in/{id}")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void changeRunningIn(@PathVariable String id, @RequestBody RunningInRequest form) {
        works.changeRunningIn(id, form);
    }

    @DeleteMapping("/works/{id}")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void removeWork(@PathVariable String id) {
        works.remove(id);
    }

    @PostMapping("/works/{id}/start")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void start(@PathVariable String id) {
        progress.start(id);
    }

    @PostMapping("/works/{id}/pause")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void pause(@PathVariable String id) {
        progress.pause(id);
    }

    @PostMapping("/works/{id}/done")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void done(@PathVariable String id) {
        progress.done(id);
    }

    @PostMapping("/works/{id}/hold")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void hold(@PathVariable String id, @RequestBody HoldRequest form) {
        progress.hold(id, form);
    }

    @PostMapping("/works/{id}/release")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void release(@PathVariable String id) {
        progress.release(id);
    }

    @PostMapping("/links")
    AddedResponse addLink(@RequestBody LinkRequest form) {
        return new AddedResponse(tying.addLink(form));
    }

    @DeleteMapping("/links/{id}")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void removeLink(@PathVariable String id) {
        tying.removeLink(id);
    }

    @PostMapping("/commitments")
    AddedResponse addCommitment(@RequestBody CommitmentRequest form) {
        return new AddedResponse(builds.addCommitment(form));
    }

    @PutMapping("/commitments/{id}")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void changeCommitment(@PathVariable String id, @RequestBody CommitmentRequest form) {
        builds.changeCommitment(id, form);
    }

    @DeleteMapping("/commitments/{id}")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void removeCommitment(@PathVariable String id) {
        builds.removeCommitment(id);
    }

    @PostMapping("/pins")
    AddedResponse addPin(@RequestBody PinRequest form) {
        return new AddedResponse(tying.addPin(form));
    }

    @DeleteMapping("/pins/{id}")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void removePin(@PathVariable String id) {
        tying.removePin(id);
    }

    @PostMapping("/calls/{id}/done")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void called(@PathVariable String id) {
        builds.called(id);
    }

    @PostMapping("/fitted-for-now/{id}/made-good")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void madeGood(@PathVariable String id) {
        builds.madeGood(id);
    }
}
