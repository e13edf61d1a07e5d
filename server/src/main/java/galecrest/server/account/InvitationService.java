package galecrest.server.account;

import galecrest.server.NewId;
import galecrest.server.ShopClock;
import galecrest.server.access.Account;
import galecrest.server.access.AccountService;
import galecrest.server.access.CurrentUser;
import galecrest.server.access.ManagerOnly;
import galecrest.server.access.PasswordRules;
import galecrest.server.access.Role;
import galecrest.server.problem.NotFoundException;
import galecrest.server.problem.ValidationException;
import java.time.Duration;
import java.time.Instant;
import java.util.List;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/**
 * Who may come in. Nobody but its owner ever knows a password: an account is made with an invitation, and a lost password is
 * replaced by one, a link that works once.
 */
@Service
class InvitationService {
    private static final Duration GOOD_FOR = Duration.ofDays(7);

    private final InvitationRepository invitations;
    private final AccountService accounts;
    private final CurrentUser who;
    private final ShopClock clock;

    InvitationService(InvitationRepository invitations, AccountService accounts, CurrentUser who, ShopClock clock) {
        this.invitations = invitations;
        this.accounts = accounts;
        this.who = who;
        this.clock = clock;
    }

    @ManagerOnly
    List<AccountResponse> all() {
        return there();
    }

    private List<AccountResponse> there() {
        return invitations.accounts(clock.instant(), clock.ahead());
    }

    @ManagerOnly
    @Transactional
    public InvitedResponse invite(InviteRequest form) {
        accounts.lock();
        if (accounts.isThere(form.username())) {
            throw new ValidationException("username", "There is an account of that name already.");
        }
        accounts.add(new Account(form.username(), form.name().strip(), form.role(), form.personId()));
        return invitation(form.username());
    }

    private InvitedResponse invitation(String username) {
        String token = NewId.secret();
        Instant now = clock.instant();
        Instant until = now.plus(GOOD_FOR);
        invitations.invite(username, NewId.hash(token), now, until);
        return new InvitedResponse("/welcome/" + token, until);
    }

    @ManagerOnly
    @Transactional
    public void change(String username, AccountRequest form) {
        accounts.lock();
        mustBe(username);
        if (form.role() != Role.MANAGER) {
            aManagerMustStay(username, "role");
        }
        accounts.change(new Account(username, form.name().strip(), form.role(), form.personId()));
    }

    /** The old password no longer works, and whoever is signed in with it is out. */
    @ManagerOnly
    @Transactional
    public InvitedResponse reset(String username) {
        mustBe(username);
        if (username.equals(who.account().username())) {
            throw new ValidationException("username", "Change your own password instead; a reset would shut you out.");
        }
        accounts.forgetPassword(username);
        return invitation(username);
    }

    @ManagerOnly
    void endSessions(String username) {
        mustBe(username);
        accounts.endSessions(username);
    }

    @ManagerOnly
    @Transactional
    public void remove(String username) {
        accounts.lock();
        mustBe(username);
        if (username.equals(who.account().username())) {
            throw new ValidationException("username", "You cannot remove the account you are signed in with.");
        }
        aManagerMustStay(username, "username");
        accounts.remove(username);
    }

    private void mustBe(String username) {
        if (!accounts.isThere(username)) {
            throw new NotFoundException("account");
        }
    }

    private void aManagerMustStay(String username, String field) {
        boolean another = there().stream()
                .anyMatch(a -> a.role() == Role.MANAGER && !a.username().equals(username) && a.invitedUntil() == null);
        if (!another) {
            throw new ValidationException(field, "Somebody must stay manager.");
        }
    }

    /** Whose password is set by that link; for whoever has it. */
    InvitationResponse open(String token) {
        return invitations
                .open(NewId.hash(token), clock.instant())
                .orElseThrow(() -> new NotFoundException("invitation"));
    }

    /** Sets the password; the link has then been used. */
    @Transactional
    public void accept(String token, String password) {
        PasswordRules.mustBeGood("password", password, List.of());
        String username = invitations
                .use(NewId.hash(token), clock.instant())
                .orElseThrow(() -> new NotFoundException("invitation"));
        PasswordRules.mustBeGood("password", password, List.of(username));
        accounts.setPassword(username, password);
    }
}
