package galecrest.server.dyno;

import org.jspecify.annotations.Nullable;

/**
 * How a run was driven, as people write it; blank where nobody knows.
 *
 * @param state what was on the car: "smaller pulley"; what is parted by semicolons are several changes
 * @param pressure of the driven tyres
 * @param airPressure of the room, as its temperature and humidity
 */
public record RunConditionsRequest(
        @Nullable String state,
        @Nullable String gear,
        @Nullable String pressure,
        @Nullable String straps,
        @Nullable String fuel,
        @Nullable String airPressure,
        @Nullable String airTemperature,
        @Nullable String humidity) {}
