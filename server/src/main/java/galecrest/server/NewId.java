package galecrest.server;

import java.security.SecureRandom;

/** Makes ids for new rows: short, unguessable enough never to clash, safe in addresses. */
public final class NewId {
    private static final String LETTERS = "abcdefghijkmnpqrstuvwxyz23456789";
    private static final int LENGTH = 12;
    private static final SecureRandom RANDOM = new SecureRandom();

    private NewId() {}

    public static String next() {
        StringBuilder id = new StringBuilder(LENGTH);
        for (int i = 0; i < LENGTH; i++) {
            id.append(LETTERS.charAt(RANDOM.nextInt(LETTERS.length())));
        }
        return id.toString();
    }
}
