package galecrest.core.gate;

import galecrest.core.build.Gate;
import java.time.Instant;
import java.util.List;
import java.util.Optional;
import java.util.Set;

/**
 * How a gate of a car stands.
 *
 * @param lines what it asks, each with whether it is so
 * @param passing who passed it; of a gate that is open again, the passing that no longer holds
 */
public record GateStatus(Gate gate, State state, List<Checked> lines, Optional<Passing> passing) {
    /** The state of a gate. */
    public enum State {
        /** Something that it asks is not so. */
        SHUT,
        /** All that it asks is so, and nobody has passed it yet. */
        READY,
        PASSED,
        /** It was passed, and what that rested on was disturbed. */
        OPEN_AGAIN
    }

    /**
     * Who took the car past a gate.
     *
     * @param did who did the work or drives
     * @param looked another who looked at it
     * @param met the keys of the lines that were so then; the others were let go, for the reason
     * @param reason why it was passed though lines were open; empty where none was
     */
    public record Passing(String did, String looked, Instant at, Set<String> met, String reason) {
        public Passing {
            met = Set.copyOf(met);
        }
    }

    /**
     * A line with what keeps it open.
     *
     * @param open empty where it is so
     * @param never whether nobody may pass while it is open
     * @param signature the name under it, void or not
     */
    public record Checked(GateLine line, List<Open> open, boolean never, Optional<GateFacts.Signature> signature) {
        public boolean met() {
            return open.isEmpty();
        }
    }

    /**
     * What keeps a line open.
     *
     * @param who can make it so; empty where the plan knows nobody
     * @param likely when it is so by the plan
     */
    public record Open(String what, String who, Optional<Instant> likely) {}

    public GateStatus {
        lines = List.copyOf(lines);
    }

    /** The lines that are not so. */
    public List<Checked> open() {
        return lines.stream().filter(l -> !l.met()).toList();
    }

    /** When the plan has all of it so; empty where it knows that of something not at all. */
    public Optional<Instant> likely() {
        List<Open> all = open().stream().flatMap(l -> l.open().stream()).toList();
        return all.stream().allMatch(o -> o.likely().isPresent())
                ? all.stream().map(o -> o.likely().get()).max(Instant::compareTo)
                : Optional.empty();
    }

    /** What nobody passes, in a sentence; empty where there is no such line open. */
    public Optional<String> neverOpen() {
        return open().stream()
                .filter(Checked::never)
                .findFirst()
                .map(l -> "Nobody passes this gate while this is open: "
                        + l.line().text() + " (" + l.open().get(0).what() + ").");
    }

    /**
     * Why nobody, or not this one, may pass; empty where the gate may be passed.
     *
     * @param manages whether a manager passes it
     * @param reason why it is passed though something is open
     */
    public Optional<String> refused(boolean manages, String reason) {
        if (state == State.PASSED) {
            return Optional.of("It has been passed already.");
        }
        List<Checked> open = open();
        if (neverOpen().isPresent()) {
            return neverOpen();
        }
        if (open.isEmpty()) {
            return Optional.empty();
        }
        if (!manages) {
            return Optional.of(open.size() + (open.size() == 1 ? " line is" : " lines are")
                    + " open; only a manager may pass it so.");
        }
        return reason.isBlank() ? Optional.of("Say why it is passed though something is open.") : Optional.empty();
    }
}
