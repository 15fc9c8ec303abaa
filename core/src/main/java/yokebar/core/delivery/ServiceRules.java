package yokebar.core.delivery;

import java.util.Set;

/**
 * What a service takes.
 *
 * @param serviceName as the operator knows it
 * @param takesRelayed whether contacts over repeaters and internet links may go there
 * @param modesNotTaken ADIF modes it does not take
 * @param needsIdentity whether contacts are signed for their own call
 */
public record ServiceRules(String serviceName, boolean takesRelayed, Set<String> modesNotTaken, boolean needsIdentity) {
    public ServiceRules {
        modesNotTaken = Set.copyOf(modesNotTaken);
    }
}
