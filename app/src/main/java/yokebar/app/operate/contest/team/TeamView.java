package yokebar.app.operate.contest.team;

import java.time.Instant;
import java.util.List;
import org.jspecify.annotations.Nullable;
import yokebar.app.operate.contest.line.WorthView;
import yokebar.core.operate.contest.sending.WayOfWorking;

/**
 * The positions that work a contest book.
 *
 * @param members those at which the book is open, by their names
 * @param bands that one position works alone, the longest waves first
 * @param messages the latest, the newest first, at most 50
 */
public record TeamView(List<MemberView> members, List<TakenBandView> bands, List<MessageView> messages) {

    /**
     * A position at which the book is open.
     *
     * @param operator who sits there; null when nobody is named
     * @param radioId its radio; null when it has none of its own
     * @param frequencyHz where it transmits; null when neither a radio nor somebody says so
     * @param band such as {@code 20m}; null without a frequency
     * @param mode null likewise
     * @param way run, or search and pounce; null when no texts are sent there
     * @param warning that the band is taken by another position, or another one is on it, as a sentence; null when neither
     */
    public record MemberView(
            long positionId,
            String name,
            @Nullable String operator,
            @Nullable Long radioId,
            @Nullable Long frequencyHz,
            @Nullable String band,
            @Nullable String mode,
            @Nullable WayOfWorking way,
            @Nullable String warning) {}

    /**
     * A band that one position works alone.
     *
     * @param band such as {@code 20m}
     * @param name of the position
     * @param atWork whether the book is open there
     */
    public record TakenBandView(String band, long positionId, String name, boolean atWork) {}

    /**
     * A message, or a station that is passed on.
     *
     * @param at UTC
     * @param from name of the position
     * @param toPositionId null for all
     * @param to name of that position; null for all
     * @param text empty for a station
     * @param call of the station; null for a message
     * @param frequencyHz where it is sent to; null for a message
     * @param taken whether somebody has taken it
     */
    public record MessageView(
            long id,
            Instant at,
            String from,
            @Nullable Long toPositionId,
            @Nullable String to,
            String text,
            @Nullable String call,
            @Nullable Long frequencyHz,
            boolean taken) {}

    /**
     * A position to which a station can be passed.
     *
     * @param frequencyHz where the station has to go
     * @param mode null when not known
     * @param worth what it would bring there; null when not known
     */
    public record PassOption(
            long positionId, String name, long frequencyHz, @Nullable String mode, @Nullable WorthView worth) {}
}
