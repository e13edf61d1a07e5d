package galecrest.core.component;

/**
 * How much a component may be used.
 *
 * @param most in the unit of the counter, more than 0
 * @param service whether a service begins it anew; else it ends the component's life
 */
public record LifeLimit(Counter counter, double most, boolean service) {
    public LifeLimit {
        if (!(most > 0 && most < 1e9)) {
            throw new IllegalArgumentException("A limit is more than 0 " + counter.unit() + ", not " + most + ".");
        }
    }
}
