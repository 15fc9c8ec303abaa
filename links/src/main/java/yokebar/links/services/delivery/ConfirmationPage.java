package yokebar.links.services.delivery;

import java.time.DateTimeException;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import org.jspecify.annotations.Nullable;
import tools.jackson.databind.JsonNode;
import yokebar.core.basics.band.Band;
import yokebar.core.basics.call.Call;
import yokebar.core.basics.mode.Mode;
import yokebar.core.basics.mode.Modes;
import yokebar.core.services.confirm.ConfirmedRecord;

/**
 * Some of the confirmations asked for.
 *
 * @param next where the next page starts, or null when this is the last
 * @param unreadable how many entries of the page made no sense and were left out
 */
public record ConfirmationPage(List<Entry> entries, @Nullable String next, int unreadable) {
    public static final ConfirmationPage EMPTY = new ConfirmationPage(List.of(), null, 0);
    private static final int LONGEST_NUMBER = 80;
    private static final int LONGEST_REMARK = 400;

    public ConfirmationPage {
        entries = List.copyOf(entries);
    }

    /**
     * @param number the service's number for it
     * @param receivedAt when the service received the record that made it a confirmation, UTC
     * @param locator the other side's locator, or null
     * @param remark what the other side wrote with it, or null
     * @param picture where the service has a picture of the card, relative to its address; null when there is none
     */
    public record Entry(
            String number,
            Instant receivedAt,
            ConfirmedRecord record,
            @Nullable String locator,
            @Nullable String remark,
            @Nullable String picture) {}

    /** Reads what services answer; an entry that makes no sense is counted and left out. */
    public static ConfirmationPage of(JsonNode entries, @Nullable String next) {
        List<Entry> read = new ArrayList<>();
        int unreadable = 0;
        for (JsonNode node : entries) {
            Entry entry = entry(node);
            if (entry == null) {
                unreadable++;
            } else {
                read.add(entry);
            }
        }
        return new ConfirmationPage(read, next == null || next.isEmpty() ? null : next, unreadable);
    }

    private static @Nullable Entry entry(JsonNode node) {
        Call ownCall = Call.read(node.path("ownCall").asString(""));
        Call call = Call.read(node.path("call").asString(""));
        Band band = Band.named(node.path("band").asString(""));
        Mode mode =
                Modes.read(node.path("mode").asString(""), node.path("submode").asString(null));
        String number = node.path("number").asString("");
        if (ownCall == null
                || call == null
                || band == null
                || mode == null
                || number.isEmpty()
                || number.length() > LONGEST_NUMBER) {
            return null;
        }
        try {
            Instant start = Instant.parse(node.path("start").asString(""));
            Instant receivedAt = Instant.parse(node.path("receivedAt").asString(""));
            return new Entry(
                    number,
                    receivedAt,
                    new ConfirmedRecord(ownCall, call, band, mode, start),
                    node.path("locator").asString(null),
                    shortened(node.path("remark").asString(null)),
                    node.path("picture").asString(null));
        } catch (DateTimeException e) {
            return null;
        }
    }

    private static @Nullable String shortened(@Nullable String remark) {
        return remark == null || remark.length() <= LONGEST_REMARK ? remark : remark.substring(0, LONGEST_REMARK);
    }
}
