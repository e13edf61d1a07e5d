package galecrest.server.rules;

import galecrest.server.shop.ShopRequest;
import java.util.List;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RestController;

@RestController
@RequestMapping("/api/shop")
class RulesController {
    private final RulesPreviewService rules;

    RulesController(RulesPreviewService rules) {
        this.rules = rules;
    }

    @GetMapping("/schools")
    List<SchoolResponse> schools() {
        return rules.schools();
    }

    @PostMapping("/preview")
    RulesPreviewResponse preview(@RequestBody ShopRequest form) {
        return rules.preview(form);
    }
}
