package galecrest.core.gauge.chassis;

import java.util.List;

/**
 * Masses aboard with where they are: what the car should weigh, and how it should stand, before the scales say so.
 *
 * @param wheelbase m
 */
public record MassLedger(double wheelbase, List<Item> items) {
    public MassLedger {
        items = List.copyOf(items);
    }

    /**
     * A mass fitted, or with a negative mass removed.
     *
     * @param mass kg
     * @param x from the front axle to the rear, m
     * @param y to the left, m
     * @param z above the ground, m
     */
    public record Item(String what, double mass, double x, double y, double z) {}

    public double total() {
        return items.stream().mapToDouble(Item::mass).sum();
    }

    /** The share of the front axle by the law of the lever. */
    public double front() {
        return 1 - along() / wheelbase;
    }

    /** Where the centre of mass is, from the front axle to the rear, m. */
    public double along() {
        return items.stream().mapToDouble(i -> i.mass() * i.x()).sum() / total();
    }

    /** The same to the left, m. */
    public double across() {
        return items.stream().mapToDouble(i -> i.mass() * i.y()).sum() / total();
    }

    /** The same above the ground, m. */
    public double height() {
        return items.stream().mapToDouble(i -> i.mass() * i.z()).sum() / total();
    }
}
