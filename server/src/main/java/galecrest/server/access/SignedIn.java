package galecrest.server.access;

import java.util.List;
import org.springframework.security.authentication.AbstractAuthenticationToken;
import org.springframework.security.core.authority.SimpleGrantedAuthority;

/** Somebody who has signed in; a session is found by the user name, which is short enough for the session table. */
final class SignedIn extends AbstractAuthenticationToken {
    private final Account account;

    SignedIn(Account account) {
        super(List.of(new SimpleGrantedAuthority("ROLE_" + account.role())));
        this.account = account;
        setAuthenticated(true);
    }

    @Override
    public String getName() {
        return account.username();
    }

    @Override
    public Account getPrincipal() {
        return account;
    }

    @Override
    public String getCredentials() {
        return "";
    }

    @Override
    public boolean equals(Object other) {
        return super.equals(other);
    }

    @Override
    public int hashCode() {
        return super.hashCode();
    }
}
