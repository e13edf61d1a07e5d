package galecrest.server.outwork;

import galecrest.server.plan.DateEffect;
import java.math.BigDecimal;
import java.time.Instant;
import java.util.List;
import org.jspecify.annotations.Nullable;
import org.springframework.http.HttpStatus;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;

/** The order that goes with outside work: what is sent, the checklists out and back, the jobs that follow. */
@RestController
@RequestMapping("/api/outworks/{id}")
class OutworkController {
    private final OutworkService outwork;

    OutworkController(OutworkService outwork) {
        this.outwork = outwork;
    }

    enum Side {
        SEND,
        RETURN
    }

    /**
     * One item of a checklist.
     *
     * @param job the job that it makes on return, where it makes one
     * @param hasJob whether a job of that name is open on the car already
     */
    record CheckView(
            String item,
            boolean done,
            String answer,
            @Nullable String by,
            @Nullable Instant at,
            @Nullable String job,
            boolean hasJob) {}

    record OutworkSheet(
            String id,
            String buildId,
            String name,
            String vendorId,
            String status,
            String specification,
            String driver,
            boolean trailer,
            @Nullable BigDecimal price,
            @Nullable Instant promisedBack,
            List<CheckView> send,
            List<CheckView> back) {}

    @GetMapping
    OutworkSheet sheet(@PathVariable String id) {
        return outwork.sheet(id);
    }

    record SheetForm(
            String specification,
            String driver,
            boolean trailer,
            @Nullable BigDecimal price) {}

    @PutMapping("/sheet")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void change(@PathVariable String id, @RequestBody SheetForm form) {
        outwork.change(id, form);
    }

    record CheckForm(Side side, String item, boolean done, String answer) {}

    @PostMapping("/checks")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void check(@PathVariable String id, @RequestBody CheckForm form) {
        outwork.check(id, form);
    }

    /**
     * A time that the vendor offers.
     *
     * @param leaveBy when it must leave for it
     * @param missed whether it misses that time by the plan
     * @param effect what booking it does to the dates
     */
    record SlotView(String id, Instant from, Instant to, Instant leaveBy, boolean missed, List<DateEffect> effect) {}

    /** The times that are offered, and the one it is booked for; how likely it is in time for them is with the odds. */
    record Slots(List<SlotView> offered, @Nullable Instant booked) {}

    @GetMapping("/slots")
    Slots slots(@PathVariable String id) {
        return outwork.slots(id);
    }

    /** Which of the offered times; none gives the booked one back. */
    record BookForm(@Nullable String slotId) {}

    @PostMapping("/slot")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void book(@PathVariable String id, @RequestBody BookForm form) {
        outwork.book(id, form.slotId());
    }

    /** It leaves; {@code anyway} sends it with an unfinished checklist. */
    record LeaveForm(
            boolean anyway,
            @Nullable Instant backLow,
            @Nullable Instant backLikely,
            @Nullable Instant backHigh) {}

    @PostMapping("/send")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void send(@PathVariable String id, @RequestBody LeaveForm form) {
        outwork.send(id, form);
    }

    /** It is back; the items become jobs, a limit that was met becomes a finding. */
    record ReturnForm(List<String> jobs, String limits) {}

    record Returned(List<String> jobs) {}

    @PostMapping("/return")
    Returned back(@PathVariable String id, @RequestBody ReturnForm form) {
        return outwork.back(id, form);
    }
}
