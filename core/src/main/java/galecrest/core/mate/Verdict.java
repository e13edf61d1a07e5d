package galecrest.core.mate;

/** What comes of two sides of a joint. */
public sealed interface Verdict {
    /** The verdict and why, in words. */
    String sentence();

    /** Whether what has this joint may be ordered without a second thought. */
    default boolean clear() {
        return this instanceof Fits;
    }

    record Fits(String sentence) implements Verdict {}

    /** @param adapter what goes between */
    record NeedsAdapter(String adapter) implements Verdict {
        @Override
        public String sentence() {
            return "Needs an adapter: " + adapter + ".";
        }
    }

    /** @param why by how much */
    record DoesNotFit(String why) implements Verdict {
        @Override
        public String sentence() {
            return "Does not fit: " + why + ".";
        }
    }

    /** @param question what to ask before ordering */
    record Unknown(String question) implements Verdict {
        @Override
        public String sentence() {
            return "Unknown, ask before ordering: " + question;
        }
    }
}
