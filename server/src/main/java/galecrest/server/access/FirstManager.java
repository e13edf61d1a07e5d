package galecrest.server.access;

import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.beans.factory.SmartInitializingSingleton;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.core.env.Environment;
import org.springframework.stereotype.Component;

/** Makes the first account of a new shop, from {@code GALECREST_FIRST_MANAGER} and {@code GALECREST_FIRST_PASSWORD}. */
@Component
class FirstManager implements SmartInitializingSingleton {
    private static final Logger LOG = LoggerFactory.getLogger(FirstManager.class);

    private final AccountService accounts;
    private final Environment environment;
    private final String username;
    private final String password;

    FirstManager(
            AccountService accounts,
            Environment environment,
            @Value("${galecrest.first.manager:}") String username,
            @Value("${galecrest.first.password:}") String password) {
        this.accounts = accounts;
        this.environment = environment;
        this.username = username;
        this.password = password;
    }

    @Override
    public void afterSingletonsInstantiated() {
        if (!username.isBlank() && accounts.none()) {
            accounts.saveFirst(new Account(username, username, Role.MANAGER, null), password);
            LOG.info("Made the account {}; change its password after signing in.", username);
        } else if (!environment.matchesProfiles("demo", "contract") && accounts.none()) {
            LOG.warn("Nobody can sign in: there is no account yet. Start once with GALECREST_FIRST_MANAGER=<name> and"
                    + " GALECREST_FIRST_PASSWORD=<10 characters or more> in the environment.");
        }
    }
}
