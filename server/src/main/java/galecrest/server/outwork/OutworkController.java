package galecrest.server.outwork;

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

    @GetMapping
    OutworkSheetResponse sheet(@PathVariable String id) {
        return outwork.sheet(id);
    }

    @PutMapping("/sheet")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void change(@PathVariable String id, @RequestBody OutworkSheetRequest form) {
        outwork.change(id, form);
    }

    @PostMapping("/checks")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void check(@PathVariable String id, @RequestBody CheckRequest form) {
        outwork.check(id, form);
    }

    @GetMapping("/slots/{slot}")
    SlotView slot(@PathVariable String id, @PathVariable String slot) {
        return outwork.slot(id, slot);
    }

    @GetMapping("/slots")
    SlotsResponse slots(@PathVariable String id) {
        return outwork.slots(id);
    }

    @PostMapping("/slot")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void book(@PathVariable String id, @RequestBody BookingRequest form) {
        outwork.book(id, form.slotId());
    }

    @PostMapping("/send")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void send(@PathVariable String id, @RequestBody SendRequest form) {
        outwork.send(id, form);
    }

    @PostMapping("/return")
    ReturnedResponse back(@PathVariable String id, @RequestBody ReturnRequest form) {
        return outwork.back(id, form);
    }
}
