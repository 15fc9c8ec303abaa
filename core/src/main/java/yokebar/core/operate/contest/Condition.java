package yokebar.core.operate.contest;

import java.util.Map;
import java.util.Set;

/** Something that is so for a contact or not. What is not known of a contact is never so. */
public sealed interface Condition {

    /**
     * @param facts of the contact
     * @param own of the own station
     */
    boolean holds(Map<Fact, String> facts, Map<Fact, String> own);

    /** The other station has the same as one's own, or another one. */
    record LikeOwn(Fact fact, boolean same) implements Condition {
        @Override
        public boolean holds(Map<Fact, String> facts, Map<Fact, String> own) {
            String theirs = facts.get(fact);
            String ours = own.get(fact);
            return theirs != null && ours != null && theirs.equals(ours) == same;
        }
    }

    /**
     * One of some values, or none of them.
     *
     * @param ofOwn whether it is asked of the own station
     * @param among whether it has to be one of the values, or another one
     */
    record OneOf(Fact fact, boolean ofOwn, Set<String> values, boolean among) implements Condition {
        @Override
        public boolean holds(Map<Fact, String> facts, Map<Fact, String> own) {
            String value = (ofOwn ? own : facts).get(fact);
            return value != null && values.contains(value) == among;
        }
    }
}
