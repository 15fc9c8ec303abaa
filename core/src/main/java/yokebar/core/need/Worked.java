package yokebar.core.need;

import java.util.ArrayList;
import java.util.List;
import java.util.function.Predicate;
import yokebar.core.band.Band;
import yokebar.core.mode.ModeGroup;

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
     */
    public record Cell(Band band, ModeGroup group, int contacts, int confirmed) {}

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

        void put(Band band, ModeGroup group, int contacts, int confirmed) {
            cells.add(new Cell(band, group, contacts, confirmed));
        }

        Worked build() {
            return cells.isEmpty() ? NOTHING : new Worked(List.copyOf(cells));
        }
    }
}
