package galecrest.server.loan;

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
class LoanController {
    private final LoanService loans;

    LoanController(LoanService loans) {
        this.loans = loans;
    }

    @GetMapping("/loans")
    List<LoanResponse> open() {
        return loans.open();
    }

    @PostMapping("/builds/{id}/loans")
    AddedResponse borrow(@PathVariable String id, @RequestBody LoanRequest form) {
        return new AddedResponse(loans.borrow(id, form));
    }

    @PostMapping("/loans/{id}/returned")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void returned(@PathVariable String id) {
        loans.returned(id);
    }
}
