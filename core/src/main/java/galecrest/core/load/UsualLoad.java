package galecrest.core.load;

import java.util.ArrayList;
import java.util.List;

/** The list that an event begins with, by its cars, sessions and sets of tyres: common practice; masses are estimates. */
public final class UsualLoad {
    private static final int LITRES_A_SESSION = 20;
    private static final double KILOGRAMS_A_LITRE = 0.75;
    private static final double SET_KILOGRAMS = 72;

    private UsualLoad() {}

    /**
     * The list.
     *
     * @param cars what the cars are called
     * @param sessions how many sessions each of them drives
     * @param sets what the sets of tyres are called
     */
    public static List<LoadItem> of(List<String> cars, int sessions, List<String> sets) {
        List<LoadItem> items = new ArrayList<>();
        for (String car : cars) {
            items.add(new LoadItem("trailer", "car " + car, 1, 0));
            items.add(new LoadItem("papers", "log book of " + car, 1, 0));
            items.add(new LoadItem("spares " + car, "pads and discs", 2, 18));
            items.add(new LoadItem("spares " + car, "wishbone, link and hub", 1, 12));
            items.add(new LoadItem("spares " + car, "belts, hoses, plugs", 1, 4));
            items.add(new LoadItem("spares " + car, "bodywork and tape", 1, 8));
        }
        sets.forEach(set -> items.add(new LoadItem("wheels", set, 1, SET_KILOGRAMS)));
        int litres = LITRES_A_SESSION * Math.max(1, sessions) * Math.max(1, cars.size());
        items.add(new LoadItem("fuel", "fuel, " + litres + " L in cans", 1, litres * KILOGRAMS_A_LITRE));
        items.add(new LoadItem("fuel", "extinguisher for refuelling", 1, 9));
        for (String tool : List.of(
                "jack and stands",
                "torque wrench and sockets",
                "pads for weighing",
                "strings and plates",
                "tyre gauge and pyrometer",
                "battery charger",
                "welder and gas",
                "bleeding bottle")) {
            items.add(new LoadItem("tools", tool, 1, tool.startsWith("welder") ? 45 : 12));
        }
        for (String fluid : List.of("engine oil", "gearbox oil", "brake fluid", "coolant")) {
            items.add(new LoadItem("fluids", fluid, 1, 10));
        }
        for (String pit :
                List.of("awning and lights", "generator", "air line", "board and radios", "spill kit", "first aid")) {
            items.add(new LoadItem("pit", pit, 1, pit.startsWith("generator") ? 48 : 15));
        }
        items.add(new LoadItem("suits", "suits, helmets, gloves", Math.max(1, cars.size()), 6));
        return List.copyOf(items);
    }
}
