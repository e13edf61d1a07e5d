package galecrest.server.account;

import java.util.List;
import org.springframework.http.CacheControl;
import org.springframework.http.HttpStatus;
import org.springframework.http.ResponseEntity;
import org.springframework.web.bind.annotation.DeleteMapping;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;

/** Accounts in the Shop, and the page on which an invited person sets the password. */
@RestController
@RequestMapping("/api")
class AccountController {
    private final InvitationService accounts;

    AccountController(InvitationService accounts) {
        this.accounts = accounts;
    }

    @GetMapping("/accounts")
    List<AccountResponse> all() {
        return accounts.all();
    }

    @PostMapping("/accounts")
    InvitedResponse invite(@RequestBody InviteRequest form) {
        return accounts.invite(form);
    }

    @PutMapping("/accounts/{username}")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void change(@PathVariable String username, @RequestBody AccountRequest form) {
        accounts.change(username, form);
    }

    @PostMapping("/accounts/{username}/reset")
    InvitedResponse reset(@PathVariable String username) {
        return accounts.reset(username);
    }

    @PostMapping("/accounts/{username}/end-sessions")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void endSessions(@PathVariable String username) {
        accounts.endSessions(username);
    }

    @DeleteMapping("/accounts/{username}")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void remove(@PathVariable String username) {
        accounts.remove(username);
    }

    @GetMapping("/invitations/{token}")
    ResponseEntity<InvitationResponse> invitation(@PathVariable String token) {
        return ResponseEntity.ok().cacheControl(CacheControl.noStore()).body(accounts.open(token));
    }

    @PostMapping("/invitations/{token}")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void accept(@PathVariable String token, @RequestBody AcceptRequest form) {
        accounts.accept(token, form.password());
    }
}
