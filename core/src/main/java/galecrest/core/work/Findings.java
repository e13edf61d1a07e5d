package galecrest.core.work;

import galecrest.core.time.Minutes;

/**
 * What a job may bring to light, a strip above all: with some chance so much more work for those who do it.
 *
 * @param chance 0 to 1
 */
public record Findings(double chance, Minutes work) {
    public Findings {
        if (!(chance >= 0 && chance <= 1)) {
            throw new IllegalArgumentException("A chance is between 0 and 1, not " + chance + ".");
        }
        if (work.value() < 0) {
            throw new IllegalArgumentException("What is found takes 0 min or more, not " + work.value() + ".");
        }
    }
}
