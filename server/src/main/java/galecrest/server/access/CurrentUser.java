package galecrest.server.access;

import org.springframework.security.authentication.AnonymousAuthenticationToken;
import org.springframework.security.core.Authentication;
import org.springframework.security.core.context.SecurityContextHolder;
import org.springframework.stereotype.Component;
import org.springframework.web.context.request.RequestContextHolder;

/** Who is asking: the account of the current request, or the shop itself outside of one. */
@Component
public class CurrentUser {
    /** The name that the journal shows. */
    public String name() {
        Authentication authentication = SecurityContextHolder.getContext().getAuthentication();
        if (authentication == null || authentication instanceof AnonymousAuthenticationToken) {
            return "Galecrest";
        }
        return authentication.getPrincipal() instanceof Account account ? account.name() : authentication.getName();
    }

    /** The session whose changes can be undone together. */
    public String session() {
        var request = RequestContextHolder.getRequestAttributes();
        return request == null ? "none" : request.getSessionId();
    }

    /**
     * What somebody of that role may not see.
     *
     * @throws org.springframework.security.access.AccessDeniedException where the account of the request has it
     */
    public void mustNotBe(Role role) {
        if (account().role() == role) {
            throw new org.springframework.security.access.AccessDeniedException("Not for that role.");
        }
    }

    /** The account of the request. */
    public Account account() {
        Authentication authentication = SecurityContextHolder.getContext().getAuthentication();
        if (authentication != null && authentication.getPrincipal() instanceof Account account) {
            return account;
        }
        throw new org.springframework.security.access.AccessDeniedException("Nobody is signed in.");
    }
}
