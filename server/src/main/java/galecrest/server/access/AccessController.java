package galecrest.server.access;

import galecrest.server.problem.ValidationException;
import io.swagger.v3.oas.annotations.Parameter;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.util.List;
import org.springframework.http.HttpStatus;
import org.springframework.security.core.context.SecurityContext;
import org.springframework.security.core.context.SecurityContextHolder;
import org.springframework.security.web.context.SecurityContextRepository;
import org.springframework.security.web.csrf.CsrfToken;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;

@RestController
@RequestMapping("/api")
class AccessController {
    private final AccountService accounts;
    private final SecurityContextRepository contexts;
    private final List<DemoLogin> demoLogins;

    AccessController(AccountService accounts, SecurityContextRepository contexts, List<DemoLogin> demoLogins) {
        this.accounts = accounts;
        this.contexts = contexts;
        this.demoLogins = demoLogins;
    }

    /** Asking for the token makes the answer set its cookie. */
    @GetMapping("/me")
    MeResponse me(@Parameter(hidden = true) CsrfToken token) {
        token.getToken();
        var authentication = SecurityContextHolder.getContext().getAuthentication();
        boolean known = authentication != null && authentication.getPrincipal() instanceof Account;
        return new MeResponse(known ? (Account) authentication.getPrincipal() : null, demoLogins);
    }

    @PostMapping("/login")
    Account login(@RequestBody SignInRequest credentials, HttpServletRequest request, HttpServletResponse response) {
        var result = accounts.signIn(credentials.username(), credentials.password(), request.getRemoteAddr());
        if (result instanceof AccountService.Welcome welcome) {
            if (request.getSession(false) != null) {
                request.changeSessionId();
            }
            Account account = welcome.account();
            SecurityContext context = SecurityContextHolder.createEmptyContext();
            context.setAuthentication(new SignedIn(account));
            SecurityContextHolder.setContext(context);
            contexts.saveContext(context, request, response);
            return account;
        }
        if (result instanceof AccountService.LockedOut locked) {
            long minutes = Math.max(1, locked.remains().plusSeconds(59).toMinutes());
            throw new ValidationException(
                    "password", "Too many wrong passwords. This name is locked here for about " + minutes + " min.");
        }
        throw new ValidationException("password", "That user name and password do not go together.");
    }

    @PostMapping("/password")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void changePassword(@RequestBody PasswordRequest change) {
        accounts.changePassword(change.old(), change.next());
    }
}
