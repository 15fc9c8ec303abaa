package yokebar.links.sources.digital;

import java.time.Instant;
import org.jspecify.annotations.Nullable;

/** What a program tells over the digital link. */
public sealed interface LinkMessage {

    Head head();

    /**
     * What every message begins with.
     *
     * @param from the program's instance, such as {@code wavelet-1}; the same each time it runs
     * @param run another text each time it is started
     * @param number of the message within the run, growing
     */
    record Head(String from, String run, long number) {}

    /** It is there. */
    record Heartbeat(Head head, String name, String version) implements LinkMessage {}

    /**
     * How it is set.
     *
     * @param dialHz the frequency of its radio, Hz; null when it knows none
     * @param mode as ADIF names it, such as {@code FT8}
     * @param partner the call it is working; null when nobody
     * @param radio the name of its radio as Yokebar knows it; null when it does not say
     */
    record Status(
            Head head,
            @Nullable Long dialHz,
            @Nullable String mode,
            boolean transmitting,
            @Nullable String partner,
            @Nullable String partnerLocator,
            @Nullable String radio)
            implements LinkMessage {}

    /**
     * Something it has read off the air.
     *
     * @param id its name for it within the run
     * @param at when the transmission began, UTC
     * @param snrDb signal to noise in 2500 Hz, dB
     * @param offsetSeconds how far off its time it began, s
     * @param audioHz above the dial, Hz
     * @param text as it was read
     * @param call who sent it; null when that cannot be told
     * @param calling whether it calls anybody
     */
    record Decode(
            Head head,
            String id,
            Instant at,
            int snrDb,
            double offsetSeconds,
            int audioHz,
            String text,
            @Nullable String call,
            @Nullable String locator,
            boolean calling)
            implements LinkMessage {}

    /**
     * A contact it has made.
     *
     * @param id its name for it; a program repeats the message until it is told that it was taken
     * @param adif one record of ADI text
     */
    record ContactMade(Head head, String id, String adif) implements LinkMessage {}

    /** It ends. */
    record Bye(Head head) implements LinkMessage {}
}
