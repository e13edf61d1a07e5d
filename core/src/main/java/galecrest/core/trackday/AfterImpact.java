package galecrest.core.trackday;

import galecrest.core.build.Zone;
import java.util.List;
import java.util.stream.Stream;

/**
 * What else to look at when a car has hit something, by where it was hit: what is bent is often not where it was hit. Common
 * practice. What carries the driver or holds the wheels on goes by its maker: after an impact many makers want harness, seat
 * and wheels replaced or tested for cracks.
 */
public enum AfterImpact {
    FRONT(List.of(
            new Look("Wishbones, rack, tie rods: cracks, bends", 60, Zone.FRONT),
            new Look("Front pickups and chassis corners measured across", 90, Zone.FRONT),
            new Look("Radiator, cooler and lines: leak test", 45, Zone.FRONT),
            new Look("Steering column and its joints", 30, Zone.COCKPIT))),
    SIDE(List.of(
            new Look("Wheel, hub and bearing on that side", 60, Zone.FRONT),
            new Look("Wishbones and driveshaft on that side", 60, Zone.REAR),
            new Look("Cage and sill: cracks in paint and welds", 45, Zone.COCKPIT),
            new Look("Fuel cell and its mounts", 45, Zone.REAR))),
    REAR(List.of(
            new Look("Rear pickups measured across, gearbox mounts", 90, Zone.REAR),
            new Look("Driveshafts and joints", 45, Zone.REAR),
            new Look("Fuel cell, lines and vent: leak test", 60, Zone.REAR),
            new Look("Wing mounts, exhaust", 30, Zone.REAR))),
    UNDERSIDE(List.of(
            new Look("Sump, gearbox case: cracks, leak", 45, Zone.UNDERSIDE),
            new Look("Floor, cables and lines under the car", 45, Zone.UNDERSIDE),
            new Look("Ride heights and chassis level measured", 60, Zone.UNDERSIDE))),
    ROLLED(List.of(
            new Look("Cage: every joint, tubes for bends", 120, Zone.COCKPIT),
            new Look("Oil where it should not be: plugs out, turned by hand", 90, Zone.ENGINE_BAY),
            new Look("Fuel system: leak test before any battery", 60, Zone.REAR),
            new Look("Fire system and isolator tried", 30, Zone.COCKPIT)));

    /** What is looked at after any of them. */
    private static final List<Look> ALWAYS = List.of(
            new Look("Harness, seat and mounts: replaced or passed by their makers", 45, Zone.COCKPIT),
            new Look("All four wheels: runout, cracks", 45, Zone.REAR),
            new Look("Toe, camber and wheelbase measured against the last sheet", 90, Zone.FRONT),
            new Look("Brakes: lines, fluid, pedal", 30, Zone.UNDERSIDE));

    private final List<Look> looks;

    /** A thing to look at; minutes are an estimate of ours. */
    public record Look(String what, int minutes, Zone zone) {}

    AfterImpact(List<Look> looks) {
        this.looks = looks;
    }

    /** What to look at, what is near first. */
    public List<Look> looks() {
        return Stream.concat(looks.stream(), ALWAYS.stream()).toList();
    }
}
