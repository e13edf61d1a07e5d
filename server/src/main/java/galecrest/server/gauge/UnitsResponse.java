package galecrest.server.gauge;

import galecrest.core.units.QuantityKind;
import galecrest.core.units.UnitSystem;
import java.util.List;
import java.util.Map;

/**
 * Which units are shown first.
 *
 * @param kinds those that have units of both systems
 * @param house what the house has chosen
 * @param own what whoever asks has chosen for themself
 */
record UnitsResponse(List<Kind> kinds, Map<QuantityKind, UnitSystem> house, Map<QuantityKind, UnitSystem> own) {
    /** A kind with its unit in each system. */
    record Kind(QuantityKind kind, String label, String metric, String customary) {}
}
