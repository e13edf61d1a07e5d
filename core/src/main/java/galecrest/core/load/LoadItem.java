package galecrest.core.load;

/**
 * A thing to take along.
 *
 * @param box the box, shelf or place in the trailer
 * @param quantity 1 or more
 * @param kilograms of all of them together, 0 where nobody has weighed them
 */
public record LoadItem(String box, String name, int quantity, double kilograms) {
    public LoadItem {
        if (quantity < 1 || !(kilograms >= 0)) {
            throw new IllegalArgumentException("Of " + name + " there is 1 or more, of 0 kg or more.");
        }
    }
}
