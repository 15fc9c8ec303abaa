package yokebar.core.log.index;

import java.util.BitSet;
import java.util.List;
import java.util.Locale;
import java.util.function.Predicate;
import org.jspecify.annotations.Nullable;

/** Finds the contacts a condition holds for. */
final class LogMatcher {
    private final LogColumns columns;
    private final Slots slots;
    private @Nullable BitSet everyOne;

    LogMatcher(LogColumns columns) {
        this.columns = columns;
        this.slots = columns.slots();
    }

    /** Contacts came, went or are different. */
    void contactsChanged() {
        everyOne = null;
    }

    BitSet all(Search search) {
        return both(search.conditions().stream().map(this::matching).toList());
    }

    /** The contacts in all the sets; every contact when there is none. */
    BitSet both(List<BitSet> sets) {
        if (sets.isEmpty()) {
            return everyOne();
        }
        BitSet both = (BitSet) sets.get(0).clone();
        sets.subList(1, sets.size()).forEach(both::and);
        return both;
    }

    /** Not to be changed. */
    BitSet everyOne() {
        BitSet every = everyOne;
        if (every == null) {
            every = new BitSet(slots.end());
            for (int i = 0; i < slots.size(); i++) {
                every.set(slots.at(i));
            }
            everyOne = every;
        }
        return every;
    }

    BitSet matching(Condition condition) {
        BitSet slotsFound = new BitSet(slots.end());
        if (condition instanceof Condition.Anywhere anywhere) {
            String word = anywhere.word();
            for (String field : LogFields.READ_BY_PEOPLE) {
                addTexts(field, TextTest.contains(word), slotsFound);
            }
        } else if (condition instanceof Condition.Like like) {
            TextColumn column = columns.columnOrEmpty(like.field());
            boolean anywhere = LogFields.FREE_TEXT.contains(like.field());
            List<Predicate<String>> tests = like.patterns().stream()
                    .map(pattern -> TextTest.like(pattern, anywhere))
                    .toList();
            BitSet codes =
                    isWhole(like) ? codesOf(column, like.patterns()) : column.codesThat(text -> anyOf(tests, text));
            column.addSlots(codes, slots.end(), slotsFound);
        } else if (condition instanceof Condition.Within within) {
            addTexts(within.field(), TextTest.within(within.least(), within.max()), slotsFound);
        } else if (condition instanceof Condition.Started started) {
            int from = slots.firstNotBefore(started.fromSecond(), 0);
            int until = slots.firstNotBefore(started.untilSecond(), 0);
            for (int i = from; i < until; i++) {
                slotsFound.set(slots.at(i));
            }
            return slotsFound;
        } else if (condition instanceof Condition.AtTime at) {
            for (int slot = 0; slot < slots.end(); slot++) {
                if (at.holds(slots.start(slot))) {
                    slotsFound.set(slot);
                }
            }
        } else if (condition instanceof Condition.OnFrequency on) {
            for (int slot = 0; slot < slots.end(); slot++) {
                long hz = columns.frequency(slot);
                if (hz >= on.minHz() && hz <= on.maxHz() && hz > 0) {
                    slotsFound.set(slot);
                }
            }
        } else if (condition instanceof Condition.Absent absent) {
            BitSet none = new BitSet();
            none.set(0);
            columns.columnOrEmpty(absent.field()).addSlots(none, slots.end(), slotsFound);
        } else if (condition instanceof Condition.Either either) {
            either.conditions().forEach(one -> slotsFound.or(matching(one)));
        } else if (condition instanceof Condition.Not not) {
            slotsFound.or(everyOne());
            slotsFound.andNot(matching(not.condition()));
            return slotsFound;
        }
        if (slots.end() != slots.size()) {
            slotsFound.and(everyOne());
        }
        return slotsFound;
    }

    /** Calls are kept in upper case, so a whole one need not be compared with each. */
    private static boolean isWhole(Condition.Like like) {
        return like.field().equals(LogFields.CALL)
                && like.patterns().stream().noneMatch(pattern -> pattern.contains("*"));
    }

    private static BitSet codesOf(TextColumn column, List<String> texts) {
        BitSet codes = new BitSet();
        texts.forEach(text -> codes.or(column.codeIs(text.toUpperCase(Locale.ROOT))));
        return codes;
    }

    private static boolean anyOf(List<Predicate<String>> tests, String text) {
        for (int i = 0; i < tests.size(); i++) {
            if (tests.get(i).test(text)) {
                return true;
            }
        }
        return false;
    }

    private void addTexts(String field, Predicate<String> test, BitSet found) {
        TextColumn column = columns.columnOrEmpty(field);
        column.addSlots(column.codesThat(test), slots.end(), found);
    }
}
