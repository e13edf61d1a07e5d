package galecrest.server.changeorder;

import galecrest.server.AddedResponse;
import java.util.List;
import org.springframework.http.HttpStatus;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;

@RestController
@RequestMapping("/api")
class ChangeOrderController {
    private final ChangeOrderService changes;

    ChangeOrderController(ChangeOrderService changes) {
        this.changes = changes;
    }

    @GetMapping("/findings")
    List<AskedFindingResponse> findings() {
        return changes.findings();
    }

    @PostMapping("/ledger/{build}/changes/price")
    PricedResponse price(@PathVariable String build, @RequestBody ChangeOrderRequest form) {
        return changes.price(build, form);
    }

    @PostMapping("/ledger/{build}/changes")
    AddedResponse offer(@PathVariable String build, @RequestBody ChangeOrderRequest form) {
        return new AddedResponse(changes.offer(build, form));
    }

    @PostMapping("/changes/{id}/decision")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void decide(@PathVariable String id, @RequestBody DecisionRequest form) {
        changes.decide(id, form.accept(), form.note());
    }
}
