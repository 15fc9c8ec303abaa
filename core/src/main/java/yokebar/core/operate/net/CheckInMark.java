package yokebar.core.operate.net;

import java.util.Locale;
import java.util.Optional;
import java.util.stream.Stream;

/** What a station says of itself when it checks in. */
public enum CheckInMark {
    /** It has a message to pass on, or asks for something. */
    TRAFFIC("traffic"),
    /** It has to leave soon and gets its turn before the others. */
    EARLY("early"),
    /** It only listens and gets no turn. */
    LISTENING("listening");

    private final String word;

    CheckInMark(String word) {
        this.word = word;
    }

    /** What is typed for it. */
    public String word() {
        return word;
    }

    /** The mark that a word stands for, in any case; empty when it stands for none. */
    static Optional<CheckInMark> named(String typed) {
        return Stream.of(values())
                .filter(mark -> mark.word.equals(typed.toLowerCase(Locale.ROOT)))
                .findFirst();
    }
}
