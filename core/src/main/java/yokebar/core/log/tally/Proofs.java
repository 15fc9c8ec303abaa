package yokebar.core.log.tally;

import java.util.BitSet;
import java.util.Collection;

/** Who proved a contact: services by their id, and marks that came with an imported record. Of any number. */
public final class Proofs {
    /** In the place of a service's id: the mark of an imported record. */
    public static final int ELSEWHERE = 0;

    public static final Proofs NONE = new Proofs(new BitSet());

    private final BitSet provers;

    private Proofs(BitSet provers) {
        this.provers = provers;
    }

    public static Proofs by(int prover) {
        return NONE.and(prover);
    }

    public static Proofs by(Collection<Integer> provers) {
        Proofs proofs = NONE;
        for (int prover : provers) {
            proofs = proofs.and(prover);
        }
        return proofs;
    }

    /** @param prover id of a service, or {@link #ELSEWHERE}; not negative */
    public Proofs and(int prover) {
        if (provers.get(prover)) {
            return this;
        }
        BitSet more = (BitSet) provers.clone();
        more.set(prover);
        return new Proofs(more);
    }

    public Proofs and(Proofs others) {
        if (others.isEmpty() || equals(others)) {
            return this;
        }
        BitSet more = (BitSet) provers.clone();
        more.or(others.provers);
        return new Proofs(more);
    }

    public boolean isEmpty() {
        return provers.isEmpty();
    }

    /** Whether any of these provers is among the others. */
    public boolean intersects(Proofs others) {
        return provers.intersects(others.provers);
    }

    @Override
    public boolean equals(Object other) {
        return other instanceof Proofs proofs && provers.equals(proofs.provers);
    }

    @Override
    public int hashCode() {
        return provers.hashCode();
    }

    @Override
    public String toString() {
        return provers.toString();
    }
}
