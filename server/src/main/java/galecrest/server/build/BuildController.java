package galecrest.server.build;

import galecrest.core.build.Gate;
import galecrest.core.sheet.JobSpec;
import galecrest.core.work.Commitment;
import galecrest.core.work.Link;
import galecrest.core.work.ReasonTag;
import java.time.Instant;
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

    /** Outline of a car from above. */
    public enum Body {
        SALOON,
        COUPE,
        HATCH,
        ROADSTER,
        SINGLE_SEATER,
        TRUCK
    }

    public record BuildForm(
            String number,
            String name,
            Body body,
            String customer,
            String discipline,
            double weight,
            int limitFront,
            int limitEngineBay,
            int limitCockpit,
            int limitUnderside,
            int limitRear,
            int version) {}

    /** A job; {@code after} names what it follows and counts only when it is added. */
    public record JobForm(
            String buildId,
            @Nullable String stage,
            JobSpec spec,
            @Nullable Instant notBefore,
            String note,
            List<String> after,
            int version) {}

    /** Work that another firm does; {@code after} counts only when it is added. */
    public record OutworkForm(
            String buildId,
            @Nullable String stage,
            String name,
            String vendorId,
            boolean wholeCar,
            int outMinutes,
            @Nullable Instant slotFrom,
            @Nullable Instant slotTo,
            int lowDays,
            int likelyDays,
            int highDays,
            int backMinutes,
            int inspectionMinutes,
            Gate gate,
            boolean essential,
            @Nullable Instant notBefore,
            List<String> after,
            int version) {}

    /** Gentle distance before a gate, a drive a day; see {@link galecrest.core.work.RunningIn}. */
    record RunningInForm(
            String buildId,
            @Nullable String stage,
            String name,
            int distanceKm,
            int doneKm,
            int perDayKm,
            int perDayMinutes,
            String skill,
            boolean anyWeather,
            Gate gate,
            boolean essential,
            List<String> after,
            int version) {}

    record LinkForm(
            String firstId,
            String thenId,
            Link.Type type,
            int lagMinutes,
            boolean lagWorking,
            @Nullable Double riskChance,
            @Nullable Integer riskReworkMinutes) {}

    record CommitmentForm(
            String buildId, String name, Commitment.Kind kind, Instant due, Gate gate, double weight, int version) {}

    /** Which pin: exactly one of the last four fields, as the kind says. */
    record PinForm(
            String workId,
            PinKind kind,
            @Nullable String personId,
            @Nullable String stationId,
            @Nullable String firstId,
            @Nullable Instant at) {}

    enum PinKind {
        PERSON,
        STATION,
        NOT_BEFORE,
        AFTER,
        EXACTLY
    }

    record HoldForm(ReasonTag reason, String note, @Nullable Instant until) {}

    record CaptureForm(String text) {}

    /** What became of a captured line, in words, and the work it concerns. */
    record CapturedAs(String said, @Nullable String workId) {}

    record AddedWork(String id) {}

    /** A new build; the template and the first date may be left out. */
    record NewBuildForm(
            BuildForm build,
            @Nullable String template,
            @Nullable String dateName,
            Commitment.@Nullable Kind dateKind,
            @Nullable Instant dateDue) {}

    @PostMapping("/builds")
    AddedWork addBuild(@RequestBody NewBuildForm form) {
        return new AddedWork(sheets.newBuild(form));
    }

    @PutMapping("/builds/{id}")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void change(@PathVariable String id, @RequestBody BuildForm form) {
        builds.change(id, form);
    }

    @DeleteMapping("/builds/{id}")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void removeBuild(@PathVariable String id) {
        builds.remove(id);
    }

    @PostMapping("/builds/{id}/capture")
    CapturedAs capture(@PathVariable String id, @RequestBody CaptureForm form) {
        return capture.capture(id, form.text());
    }

    @PostMapping("/jobs")
    AddedWork addJob(@RequestBody JobForm form) {
        return new AddedWork(works.addJob(form));
    }

    @PutMapping("/jobs/{id}")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void changeJob(@PathVariable String id, @RequestBody JobForm form) {
        works.changeJob(id, form);
    }

    @PostMapping("/outwork")
    AddedWork addOutwork(@RequestBody OutworkForm form) {
        return new AddedWork(works.addOutwork(form));
    }

    @PutMapping("/outwork/{id}")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void changeOutwork(@PathVariable String id, @RequestBody OutworkForm form) {
        works.changeOutwork(id, form);
    }

    @PostMapping("/running-in")
    AddedWork addRunningIn(@RequestBody RunningInForm form) {
        return new AddedWork(works.addRunningIn(form));
    }

    @PutMapping("/running-in/{id}")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void changeRunningIn(@PathVariable String id, @RequestBody RunningInForm form) {
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
    void hold(@PathVariable String id, @RequestBody HoldForm form) {
        progress.hold(id, form);
    }

    @PostMapping("/works/{id}/release")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void release(@PathVariable String id) {
        progress.release(id);
    }

    @PostMapping("/links")
    AddedWork addLink(@RequestBody LinkForm form) {
        return new AddedWork(tying.addLink(form));
    }

    @DeleteMapping("/links/{id}")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void removeLink(@PathVariable String id) {
        tying.removeLink(id);
    }

    @PostMapping("/commitments")
    AddedWork addCommitment(@RequestBody CommitmentForm form) {
        return new AddedWork(builds.addCommitment(form));
    }

    @PutMapping("/commitments/{id}")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void changeCommitment(@PathVariable String id, @RequestBody CommitmentForm form) {
        builds.changeCommitment(id, form);
    }

    @DeleteMapping("/commitments/{id}")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void removeCommitment(@PathVariable String id) {
        builds.removeCommitment(id);
    }

    @PostMapping("/pins")
    AddedWork addPin(@RequestBody PinForm form) {
        return new AddedWork(tying.addPin(form));
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
