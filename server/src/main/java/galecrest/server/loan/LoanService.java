package galecrest.server.loan;

import galecrest.core.build.Gate;
import galecrest.core.parts.PartState;
import galecrest.server.NewId;
import galecrest.server.access.AnyHand;
import galecrest.server.access.CurrentUser;
import galecrest.server.access.LeadOrManager;
import galecrest.server.capture.CaptureService;
import galecrest.server.journal.Journal;
import galecrest.server.parts.PartLineRepository;
import galecrest.server.problem.NotFoundException;
import galecrest.server.problem.ValidationException;
import java.time.Clock;
import java.util.List;
import java.util.Optional;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Service;

/**
 * Borrowing: both cars know. The lender gets a job to fit it again and a line for the part, without a date, so that its plan
 * waits for what it lent.
 */
@Service
class LoanService {
    private static final int REFIT_MINUTES = 60;

    private final LoanRepository loans;
    private final PartLineRepository parts;
    private final CaptureService captures;
    private final Journal journal;
    private final CurrentUser who;
    private final Clock clock;

    LoanService(
            LoanRepository loans,
            PartLineRepository parts,
            CaptureService captures,
            Journal journal,
            CurrentUser who,
            Clock clock) {
        this.loans = loans;
        this.parts = parts;
        this.captures = captures;
        this.journal = journal;
        this.who = who;
        this.clock = clock;
    }

    /** What is owed. */
    @AnyHand
    List<LoanResponse> open() {
        return loans.open();
    }

    @LeadOrManager
    String borrow(String to, LoanRequest form) {
        String what = form.what().strip();
        String id = NewId.next();
        String skill = captures.usualSkill();
        journal.judge(() -> {
            String borrower = loans.car(to).orElseThrow(() -> new NotFoundException("build"));
            if (to.equals(form.fromBuildId())) {
                throw new ValidationException("fromBuildId", "A car cannot borrow of itself.");
            }
            @Nullable
            String lender = form.fromBuildId() == null
                    ? null
                    : loans.car(form.fromBuildId()).orElseThrow(() -> new NotFoundException("build"));
            @Nullable
            String part = form.fromBuildId() == null ? null : missing(form.fromBuildId(), what, borrower, skill);
            loans.insert(id, what, form.fromBuildId(), to, part, who.name(), clock.instant());
            return borrower + " borrows " + what + " of " + (lender == null ? "the shelf" : lender);
        });
        return id;
    }

    private String missing(String lender, String what, String borrower, String skill) {
        String job = captures.ownFinding(
                lender, "Refit " + what + ", lent to " + borrower, Optional.empty(), REFIT_MINUTES, Gate.EVENT, skill);
        return parts.wanted(lender, what.substring(0, 1).toUpperCase(java.util.Locale.ROOT) + what.substring(1), job);
    }

    /** It is back, or another is there in its place. */
    @LeadOrManager
    void returned(String id) {
        journal.judge(() -> {
            LoanResponse loan = loans.open(id).orElseThrow(() -> new NotFoundException("loan"));
            loans.returned(id, clock.instant());
            if (loan.partId() != null) {
                parts.received(loan.partId(), 1, PartState.ACCEPTED);
            }
            return loan.what() + " is given back";
        });
    }
}
