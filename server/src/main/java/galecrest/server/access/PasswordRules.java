package galecrest.server.access;

import com.nulabinc.zxcvbn.Zxcvbn;
import galecrest.server.problem.ValidationException;
import java.nio.charset.StandardCharsets;
import java.util.List;

/** Which passwords are kept: long enough, not longer than what keeps them can tell apart, none that is guessed first. */
public final class PasswordRules {
    private static final int SHORTEST = 10;
    /** What keeps it can tell apart no more than 72 bytes. */
    private static final int LONGEST_BYTES = 70;
    /** So many guesses, of what people use most first, find it: no more than a slow attempt takes in an hour. */
    private static final double GUESSED = 1e6;

    private static final Zxcvbn GUESSER = new Zxcvbn();

    private PasswordRules() {}

    /**
     * Refuses what is not to be kept.
     *
     * @param own words that somebody who knows its owner tries: names
     * @throws ValidationException at the field
     */
    public static void mustBeGood(String field, String password, List<String> own) {
        int bytes = password.getBytes(StandardCharsets.UTF_8).length;
        if (password.length() < SHORTEST || bytes > LONGEST_BYTES) {
            throw new ValidationException(
                    field,
                    "A password has " + SHORTEST + " to " + LONGEST_BYTES
                            + " characters; one with an accent counts as two.");
        }
        if (GUESSER.measure(password, own).getGuesses() < GUESSED) {
            throw new ValidationException(
                    field, "This is one of the first that are tried. Take a few words that have nothing in common.");
        }
    }
}
