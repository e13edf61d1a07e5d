package galecrest.core.loom;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.function.Function;
import java.util.stream.Collectors;

/**
 * What the decisions come to.
 *
 * @param undecided names of those of which nobody has decided; as long as there are any, no loom is made
 * @param broken those that stay and need one that is taken out, in words
 * @param saved mass of what is taken out, kg
 */
public record LoomDecisions(List<String> undecided, List<String> broken, double saved) {
    public static LoomDecisions of(List<LoomModule> modules) {
        Map<String, LoomModule> byId = modules.stream().collect(Collectors.toMap(LoomModule::id, Function.identity()));
        List<String> broken = new ArrayList<>();
        for (LoomModule module : modules) {
            module.needs().stream()
                    .filter(byId::containsKey)
                    .map(byId::get)
                    .filter(n -> module.stays() && n.decision() == LoomModule.Decision.TAKE_OUT)
                    .map(LoomModule::name)
                    .sorted()
                    .forEach(n -> broken.add(module.name() + " stays and needs " + n + ", which is taken out"));
        }
        return new LoomDecisions(
                modules.stream()
                        .filter(m -> m.decision() == LoomModule.Decision.UNDECIDED)
                        .map(LoomModule::name)
                        .toList(),
                broken,
                modules.stream()
                        .filter(m -> m.decision() == LoomModule.Decision.TAKE_OUT)
                        .mapToDouble(LoomModule::mass)
                        .sum());
    }
}
