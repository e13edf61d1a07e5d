package galecrest.core.component;

import java.time.Instant;
import java.time.LocalDate;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;

/**
 * A thing with an identity that is used up: an engine, a harness, a damper, a frame.
 *
 * @param identity a serial number, or what else tells it from its like; may be empty
 * @param before how much it was used before anything was counted here
 * @param fittings its times on cars, which do not overlap
 * @param serviced when it was serviced, the last time last
 * @param expires the last day on which it may be used; empty where it has none
 * @param safety whether nobody may drive on with it beyond its date or life
 */
public record Component(
        String id,
        String name,
        String identity,
        Wear before,
        List<Fitting> fittings,
        List<LifeLimit> limits,
        List<Instant> serviced,
        Optional<LocalDate> expires,
        boolean safety) {
    public Component {
        fittings = fittings.stream().sorted(Comparator.comparing(Fitting::from)).toList();
        limits = List.copyOf(limits);
        serviced = serviced.stream().sorted().toList();
        for (int i = 1; i < fittings.size(); i++) {
            Optional<Instant> until = fittings.get(i - 1).until();
            if (until.isEmpty() || until.get().isAfter(fittings.get(i).from())) {
                throw new IllegalArgumentException(name + " is on two cars at once.");
            }
        }
    }

    /** Where it is at that moment; empty on the shelf. */
    public Optional<Fitting> at(Instant at) {
        return fittings.stream().filter(f -> f.isOn(at)).findFirst();
    }

    /** What it is called, with its identity. */
    public String called() {
        return identity.isEmpty() ? name : name + " " + identity;
    }
}
