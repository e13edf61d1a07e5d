package galecrest.server.access;

import galecrest.server.problem.BadInput;
import java.nio.charset.StandardCharsets;
import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import org.springframework.security.crypto.password.PasswordEncoder;
import org.springframework.stereotype.Service;

/** Signing in, with a lock-out after repeated failures, and accounts. */
@Service
public class AccountService {
    private static final int FAILURES_TO_LOCK = 5;
    private static final Duration LOCKED = Duration.ofMinutes(5);
    private static final int SHORTEST_PASSWORD = 10;

    private static final int LONGEST_PASSWORD = 70;

    private final AccountRepository accounts;
    private final PasswordEncoder passwords;
    private final Clock clock;
    private final Who who;
    private final String unknownPassword;

    AccountService(AccountRepository accounts, PasswordEncoder passwords, Clock clock, Who who) {
        this.accounts = accounts;
        this.passwords = passwords;
        this.clock = clock;
        this.who = who;
        this.unknownPassword = passwords.encode("nobody has this password");
    }

    /** What came of an attempt to sign in. */
    public sealed interface SignIn permits Welcome, Refused, LockedOut {}

    /** The right password. */
    public record Welcome(Account account) implements SignIn {}

    /** An unknown account or a wrong password; which of the two is not said. */
    public record Refused() implements SignIn {}

    /** Too many failures; it can be tried again after this instant. */
    public record LockedOut(Instant until) implements SignIn {}

    SignIn signIn(String username, String password) {
        Optional<AccountRepository.Stored> found =
                accounts.find(username.strip().toLowerCase(Locale.ROOT));
        if (found.isEmpty()) {
            passwords.matches(password, unknownPassword);
            return new Refused();
        }
        AccountRepository.Stored stored = found.get();
        Instant now = clock.instant();
        if (stored.lockedUntil() != null && now.isBefore(stored.lockedUntil())) {
            return new LockedOut(stored.lockedUntil());
        }
        String name = stored.account().username();
        if (passwords.matches(password, stored.password())) {
            if (stored.failures() > 0) {
                accounts.failed(name, 0, null);
            }
            return new Welcome(stored.account());
        }
        int failures = stored.failures() + 1;
        boolean locks = failures >= FAILURES_TO_LOCK;
        accounts.failed(name, locks ? 0 : failures, locks ? now.plus(LOCKED) : null);
        return locks ? new LockedOut(now.plus(LOCKED)) : new Refused();
    }

    @AnyHand
    void changePassword(String old, String next) {
        String username = who.account().username();
        String stored = accounts.find(username).orElseThrow().password();
        if (!passwords.matches(old, stored)) {
            throw new BadInput("old", "That is not the password you have now.");
        }
        accounts.password(username, encoded("next", next));
    }

    @ManagerOnly
    List<Account> all() {
        return accounts.all();
    }

    @ManagerOnly
    void save(Account account, String password) {
        saveFirst(account, password);
    }

    /** The same without asking who does it: for the first account, when nobody is there yet. */
    void saveFirst(Account account, String password) {
        if (!account.username().matches("[a-z0-9._-]{2,40}")) {
            throw new BadInput("username", "A user name has 2 to 40 of the characters a–z, 0–9, dot, dash.");
        }
        accounts.save(account, encoded("password", password));
    }

    /** An account that ships with the demo shop, whose password everyone may know. */
    public void saveDemoAccount(Account account, String password) {
        accounts.save(account, passwords.encode(password));
    }

    /** Whether nobody can sign in yet. */
    public boolean none() {
        return accounts.all().isEmpty();
    }

    private String encoded(String field, String password) {
        // What keeps it can tell apart no more than 72 bytes.
        int bytes = password.getBytes(StandardCharsets.UTF_8).length;
        if (password.length() < SHORTEST_PASSWORD || bytes > LONGEST_PASSWORD) {
            throw new BadInput(
                    field,
                    "A password has " + SHORTEST_PASSWORD + " to " + LONGEST_PASSWORD
                            + " characters; one with an accent counts as two.");
        }
        return passwords.encode(password);
    }
}
