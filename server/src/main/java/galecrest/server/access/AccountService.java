package galecrest.server.access;

import galecrest.server.NewId;
import galecrest.server.problem.ValidationException;
import galecrest.server.session.SessionService;
import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.time.temporal.ChronoUnit;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.security.crypto.password.PasswordEncoder;
import org.springframework.stereotype.Service;

/** Signing in, with a lock-out after repeated failures, and accounts. */
@Service
public class AccountService {
    /** With one name from one address. */
    private static final int FAILURES_TO_LOCK = 5;

    /** With all names from one address: a few people who mistype at once. */
    private static final int FAILURES_OF_ADDRESS = 30;

    /** With one name from all addresses. */
    private static final int FAILURES_OF_ACCOUNT = 60;

    private static final int LONGEST_NAME = 60;
    private static final Duration LOCKED = Duration.ofMinutes(5);
    private static final Logger LOG = LoggerFactory.getLogger(AccountService.class);

    private final AccountRepository accounts;
    private final PasswordEncoder passwords;
    private final Clock clock;
    private final CurrentUser who;
    private final SignInRepository signIns;
    private final SessionService sessions;
    private final String unknownPassword;

    AccountService(
            AccountRepository accounts,
            SignInRepository signIns,
            SessionService sessions,
            PasswordEncoder passwords,
            Clock clock,
            CurrentUser who) {
        this.signIns = signIns;
        this.sessions = sessions;
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

    /** Too many failures; it can be tried again after so long, to the second. */
    public record LockedOut(Duration remains) implements SignIn {}

    /**
     * Lets somebody in who knows the password. Every attempt is counted first, whether there is such an account or not, so
     * that attempts at once are as many as attempts one after another, and answers do not tell which names exist. Too many
     * with a name from an address lock that name there; too many from an address, or with a name from anywhere, lock it
     * where the account has never signed in from: nobody can lock out who comes from where he always comes from.
     *
     * @param address where the attempt comes from
     */
    SignIn signIn(String username, String password, String address) {
        String name = cut(username.strip().toLowerCase(Locale.ROOT));
        Instant now = clock.instant();
        AttemptsRow attempts = signIns.count(name, address, FAILURES_TO_LOCK, now, now.minus(LOCKED));
        LockedOut locked = new LockedOut(
                Duration.between(now, attempts.since().plus(LOCKED)).truncatedTo(ChronoUnit.SECONDS));
        boolean crowded = attempts.address() > FAILURES_OF_ADDRESS || attempts.account() > FAILURES_OF_ACCOUNT;
        if (attempts.here() > FAILURES_TO_LOCK || crowded && !signIns.knows(name, address)) {
            LOG.warn("Sign-in locked, from {}", address);
            return locked;
        }
        Optional<AccountRow> found = accounts.find(name);
        if (passwords.matches(password, found.map(AccountRow::password).orElse(unknownPassword)) && found.isPresent()) {
            signIns.succeeded(name, address, now);
            LOG.info("Signed in: {}, from {}", name, address);
            return new Welcome(found.get().account());
        }
        // A name that nobody has may be a password in the wrong field.
        LOG.warn("Sign-in refused: {}, from {}", found.isPresent() ? name : "no such account", address);
        return attempts.here() >= FAILURES_TO_LOCK ? locked : new Refused();
    }

    private static String cut(String name) {
        return name.length() > LONGEST_NAME ? name.substring(0, LONGEST_NAME) : name;
    }

    @AnyHand
    void changePassword(String old, String next) {
        String username = who.account().username();
        String stored = accounts.find(username).orElseThrow().password();
        if (!passwords.matches(old, stored)) {
            throw new ValidationException("old", "That is not the password you have now.");
        }
        PasswordRules.mustBeGood("next", next, List.of(username, who.account().name()));
        accounts.password(username, passwords.encode(next));
        sessions.end(username, who.session());
        signIns.forget(username);
    }

    /** Of those who change accounts at once, one after another. */
    public void lock() {
        accounts.lock();
    }

    public boolean isThere(String username) {
        return accounts.find(username).isPresent();
    }

    /** An account whose password nobody knows yet. */
    public void add(Account account) {
        mustBeGood(account);
        accounts.save(account, passwords.encode(NewId.secret()));
    }

    /** Another name, role or person; it signs in anew, so that nothing goes on with what it was. */
    public void change(Account account) {
        mustBeGood(account);
        accounts.change(account);
        endSessions(account.username());
    }

    /** Nobody knows the password any more. */
    public void forgetPassword(String username) {
        accounts.password(username, passwords.encode(NewId.secret()));
        endSessions(username);
    }

    public void endSessions(String username) {
        sessions.end(username, "");
    }

    public void remove(String username) {
        accounts.remove(username);
        endSessions(username);
    }

    /** Sets a password that was checked with {@link PasswordRules}. */
    public void setPassword(String username, String password) {
        accounts.password(username, passwords.encode(password));
        endSessions(username);
        signIns.forget(username);
    }

    /** The first account, when nobody is there yet. */
    void saveFirst(Account account, String password) {
        mustBeGood(account);
        PasswordRules.mustBeGood("password", password, List.of(account.username(), account.name()));
        accounts.save(account, passwords.encode(password));
        endSessions(account.username());
        signIns.forget(account.username());
    }

    private static void mustBeGood(Account account) {
        if (!account.username().matches("[a-z0-9._-]{2,40}")) {
            throw new ValidationException("username", "A user name has 2 to 40 of the characters a–z, 0–9, dot, dash.");
        }
        if (account.name().isBlank() || account.name().length() > LONGEST_NAME) {
            throw new ValidationException("name", "A name has 1 to " + LONGEST_NAME + " characters.");
        }
    }

    /** An account that ships with the demo shop, whose password everyone may know. */
    public void saveDemoAccount(Account account, String password) {
        accounts.save(account, passwords.encode(password));
    }

    /** Whether nobody can sign in yet. */
    public boolean none() {
        return accounts.all().isEmpty();
    }
}
