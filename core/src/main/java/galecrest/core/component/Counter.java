package galecrest.core.component;

/** What wears a component, and what it is counted in. */
public enum Counter {
    HOURS("h", "running hours"),
    DISTANCE("km", "distance"),
    EVENTS("events", "events"),
    HEAT_CYCLES("cycles", "complete heat cycles"),
    FIRES("fires", "engine starts"),
    IMPACTS("impacts", "impacts");

    private final String unit;
    private final String label;

    Counter(String unit, String label) {
        this.unit = unit;
        this.label = label;
    }

    /** What stands behind the number. */
    public String unit() {
        return unit;
    }

    /** The same behind a 1. */
    public String one() {
        return unit.length() > 2 && unit.endsWith("s") ? unit.substring(0, unit.length() - 1) : unit;
    }

    /** The words for it. */
    public String label() {
        return label;
    }
}
