package yokebar.core.log.tally;

import java.util.ArrayList;
import java.util.List;
import java.util.function.Predicate;
import yokebar.core.basics.band.Band;
import yokebar.core.basics.mode.ModeGroup;

/**
 * What was worked of one station, entity or the like.
 *
 * @param cells those with contacts
 */
public record Worked(List<Cell> cells) {
    public static final Worked NOTHING = new Worked(List.of());

    /**
     * One band in one mode group.
     *
     * @param contacts at least one
     * @param confirmed how many of them anybody proved
     * @param proofs by whom any of them is proven
     */
    public record Cell(Band band, ModeGroup group, int contacts, int confirmed, Proofs proofs) {}

    public int contacts() {
        return cells.stream().mapToInt(Cell::contacts).sum();
    }

    /** How far it is ever, on the band, and in the mode group. */
    public NeedMark mark(Band band, ModeGroup group) {
        return new NeedMark(
                state(cell -> true), state(cell -> cell.band() == band), state(cell -> cell.group() == group));
    }

    /** How far it is with some of the cells. */
    public WorkState state(Predicate<Cell> which) {
        WorkState state = WorkState.NEEDED;
        for (Cell cell : cells) {
            if (which.test(cell)) {
                if (cell.confirmed() > 0) {
                    return WorkState.CONFIRMED;
                }
                state = WorkState.WORKED;
            }
        }
        return state;
    }

    static final class Builder {
        private final List<Cell> cells = new ArrayList<>();

        /** Cells come in order, those of one band and mode group one after the other. */
        void add(Band band, ModeGroup group, Proofs proofs, int contacts) {
            int last = cells.size() - 1;
            Cell before = last < 0 ? null : cells.get(last);
            int confirmed = proofs.isEmpty() ? 0 : contacts;
            if (before != null && before.band() == band && before.group() == group) {
                cells.set(
                        last,
                        new Cell(
                                band,
                                group,
                                before.contacts() + contacts,
                                before.confirmed() + confirmed,
                                before.proofs().and(proofs)));
            } else {
                cells.add(new Cell(band, group, contacts, confirmed, proofs));
            }
        }

        Worked build() {
            return cells.isEmpty() ? NOTHING : new Worked(List.copyOf(cells));
        }
    }
}
