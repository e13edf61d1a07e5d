package galecrest.core.trackday;

import java.util.List;

/**
 * What an inspector usually asks of a car. Common practice; the rule book of the class and the inspector decide, so the list
 * is where a sheet begins and is changed for it.
 */
public final class UsualInspection {
    /** In the order around the car. */
    public static final List<String> LINES = List.of(
            "Log book and papers",
            "Harness: date, mounts, webbing unhurt",
            "Seat and its mounts; head restraint",
            "Fire system: date, armed, both pulls reach",
            "Isolator stops the engine, from inside and outside",
            "Cage: padding where the helmet reaches, welds unhurt",
            "Window net or arm restraints",
            "Brakes: pedal firm, no leak, front and rear work",
            "Steering: no play, wheel releases",
            "Wheels: nuts, studs, no cracks",
            "Fuel cell: date, lines, caps, vent, bulkhead sealed",
            "Oil and coolant: no leak, catch tank",
            "Battery held down, terminals covered",
            "Tow eyes marked and reached",
            "Lights, rain light, mirrors",
            "Bodywork held, no sharp edges",
            "Weight and measures of the class",
            "Driver: suit, helmet, gloves, in date");

    private UsualInspection() {}
}
