package galecrest.core.vendor;

import java.util.List;
import java.util.Locale;
import java.util.Optional;

/**
 * What is looked at before something goes to another firm and when it is back, by what the firm does. Common practice;
 * makers, rule books and the firm's own conditions come first.
 */
public record Checklists(List<Item> send, List<Item> back) {
    public Checklists {
        send = List.copyOf(send);
        back = List.copyOf(back);
    }

    /** One thing to look at; what comes of it may be a job. */
    public record Item(String text, Optional<FollowOn> job) {}

    /** The job that an item makes on return. */
    public record FollowOn(String name, String skill, int minutes) {}

    private static final Item WHAT_AND_HOW_MANY =
            ask("What is sent, and how many pieces, written down and photographed");
    private static final Item PRICE_AND_DAY = ask("Price and day agreed");

    private static final Checklists TUNING = new Checklists(
            List.of(
                    ask("Charging voltage with all on (about 14 V)"),
                    ask("Fuel aboard, enough for the day and of the right kind"),
                    ask("No leaks: fuel, oil, coolant"),
                    ask("All sensors read what is true"),
                    ask("Tyres fit for the rollers, same pressure as last time"),
                    ask("Strap points reachable, guards and fan clear"),
                    ask("What is unfinished on the car, written down"),
                    ask("What to try, in order"),
                    ask("Limits: revs, boost, temperatures, when to stop")),
            List.of(
                    job("Fresh oil and filter", "engines", 45),
                    job("Read the plugs", "engines", 30),
                    job("Check every clamp", "fit", 30),
                    job("File the power sheet", "setup", 15),
                    ask("Limits that were met, noted as jobs or restrictions")));

    private static final Checklists COATING = new Checklists(
            List.of(
                    WHAT_AND_HOW_MANY,
                    ask("Fitted together bare before it goes"),
                    ask("Which faces, threads and bosses stay bare, marked on the part"),
                    ask("Stripped, dry and free of oil"),
                    PRICE_AND_DAY),
            List.of(
                    ask("Counted against the list, looked at for chips and runs"),
                    job("Chase threads and sensor holes", "fit", 40),
                    job("Trial fit after coating", "fit", 60)));

    private static final Checklists MACHINING = new Checklists(
            List.of(
                    WHAT_AND_HOW_MANY,
                    ask("Drawing with tolerances, and the part it must meet"),
                    ask("Which faces are the datum"),
                    PRICE_AND_DAY),
            List.of(job("Measure against the drawing", "fit", 30), job("Wash out chips, trial fit", "fit", 45)));

    private static final Checklists ENGINE = new Checklists(
            List.of(
                    WHAT_AND_HOW_MANY,
                    ask("What it is for: fuel, revs, how long between looks"),
                    ask("What was wrong with it"),
                    PRICE_AND_DAY),
            List.of(
                    ask("Sheets: clearances, torques, part numbers"),
                    ask("Run-in terms, in writing"),
                    job("Prime the oil system before first fire", "engines", 45)));

    private static final Checklists ANY = new Checklists(
            List.of(WHAT_AND_HOW_MANY, ask("Specification written and read back to us"), PRICE_AND_DAY),
            List.of(ask("Inspected against what was asked"), job("Trial fit on return", "fit", 30)));

    private static Item ask(String text) {
        return new Item(text, Optional.empty());
    }

    private static Item job(String name, String skill, int minutes) {
        return new Item(name, Optional.of(new FollowOn(name, skill, minutes)));
    }

    /** The lists for what a vendor does, as the shop calls it. */
    public static Checklists of(String trade) {
        String does = trade.toLowerCase(Locale.ROOT);
        if (does.contains("tun") || does.contains("dyno") || does.contains("rolling")) {
            return TUNING;
        } else if (does.contains("coat")
                || does.contains("paint")
                || does.contains("plat")
                || does.contains("powder")) {
            return COATING;
        } else if (does.contains("machin") || does.contains("cut") || does.contains("cast")) {
            return MACHINING;
        }
        return does.contains("engine") ? ENGINE : ANY;
    }
}
