package yokebar.app.log.store;

import java.io.IOException;
import java.util.Map;
import java.util.function.BiConsumer;
import java.util.function.Function;
import org.jspecify.annotations.Nullable;
import yokebar.core.basics.band.Band;
import yokebar.core.basics.call.Call;
import yokebar.core.basics.mode.Mode;
import yokebar.core.log.adif.AdiReader;
import yokebar.core.log.adif.AdiWriter;
import yokebar.core.log.adif.AdifFields;
import yokebar.core.log.adif.AdifRecord;
import yokebar.core.log.contact.Contact;
import yokebar.core.log.contact.PropagationMode;
import yokebar.core.log.contact.Provenance;

/**
 * Which ADIF field stands in which column. A value goes into its column only when the column gives back exactly the same
 * text; everything else stays with the other fields, so nothing that came is ever lost to a column's type or length.
 */
public final class ContactColumns {

    private record TextColumn(
            int length,
            Function<StoredContact, @Nullable String> get,
            BiConsumer<StoredContact, @Nullable String> set) {}

    private record NumberColumn(
            Function<StoredContact, @Nullable Integer> get, BiConsumer<StoredContact, @Nullable Integer> set) {}

    private static final Map<String, TextColumn> TEXTS = Map.ofEntries(
            text("SAT_NAME", 32, r -> r.satellite, (r, v) -> r.satellite = v),
            text("RST_SENT", 16, r -> r.reportSent, (r, v) -> r.reportSent = v),
            text("RST_RCVD", 16, r -> r.reportReceived, (r, v) -> r.reportReceived = v),
            text("NAME", 80, r -> r.name, (r, v) -> r.name = v),
            text("QTH", 80, r -> r.qth, (r, v) -> r.qth = v),
            text("GRIDSQUARE", 10, r -> r.locator, (r, v) -> r.locator = v),
            text("COUNTRY", 60, r -> r.country, (r, v) -> r.country = v),
            text("STATE", 40, r -> r.state, (r, v) -> r.state = v),
            text("CONT", 2, r -> r.continent, (r, v) -> r.continent = v),
            text("OPERATOR", 20, r -> r.operatorCall, (r, v) -> r.operatorCall = v),
            text("MY_GRIDSQUARE", 10, r -> r.ownLocator, (r, v) -> r.ownLocator = v),
            text("TX_PWR", 12, r -> r.powerW, (r, v) -> r.powerW = v),
            text("COMMENT", 400, r -> r.comment, (r, v) -> r.comment = v));

    private static final Map<String, NumberColumn> NUMBERS = Map.of(
            "DXCC", new NumberColumn(r -> r.entityCode, (r, v) -> r.entityCode = v),
            "CQZ", new NumberColumn(r -> r.cqZone, (r, v) -> r.cqZone = v),
            "ITUZ", new NumberColumn(r -> r.ituZone, (r, v) -> r.ituZone = v));

    private ContactColumns() {}

    static void fill(StoredContact row, Contact contact, Provenance provenance) {
        row.ownCall = contact.ownCall().text();
        row.callSign = contact.call().text();
        row.startedAt = contact.start();
        row.secondsKnown = contact.secondsKnown();
        row.endedAt = contact.end();
        row.band = contact.band().adifName();
        row.frequencyHz = contact.frequencyHz();
        row.mode = contact.mode().name();
        row.submode = contact.mode().submode();
        row.propagation =
                contact.propagation() == null ? null : contact.propagation().name();
        row.provenance = provenance.text();
        TEXTS.values().forEach(column -> column.set().accept(row, null));
        NUMBERS.values().forEach(column -> column.set().accept(row, null));
        AdifFields.Builder others = new AdifFields.Builder();
        contact.details().forEach((name, value) -> {
            if (!toColumn(row, name, value)) {
                others.put(name, value);
            }
        });
        AdifFields rest = others.build();
        row.otherFields = rest.isEmpty() ? null : AdiWriter.text(rest);
    }

    private static boolean toColumn(StoredContact row, String name, String value) {
        TextColumn text = TEXTS.get(name);
        if (text != null && value.length() <= text.length()) {
            text.set().accept(row, value);
            return true;
        }
        NumberColumn number = NUMBERS.get(name);
        if (number != null && value.length() <= 4 && value.matches("0|[1-9][0-9]*")) {
            number.set().accept(row, Integer.valueOf(value));
            return true;
        }
        return false;
    }

    static Contact contact(StoredContact row) {
        AdifFields.Builder details = new AdifFields.Builder();
        TEXTS.forEach((name, column) -> details.put(name, column.get().apply(row)));
        NUMBERS.forEach((name, column) -> {
            Integer value = column.get().apply(row);
            details.put(name, value == null ? null : value.toString());
        });
        if (row.otherFields != null) {
            parse(row.otherFields).forEach(details::put);
        }
        Band band = Band.named(row.band);
        if (band == null) {
            throw new IllegalStateException(row.callSign + " is stored on no band: " + row.band);
        }
        return new Contact(
                new Call(row.ownCall),
                new Call(row.callSign),
                row.startedAt,
                row.secondsKnown,
                row.endedAt,
                band,
                row.frequencyHz,
                new Mode(row.mode, row.submode),
                row.propagation == null ? null : PropagationMode.read(row.propagation),
                details.build());
    }

    public static AdifFields parse(String adi) {
        try {
            AdifRecord record = AdiReader.of(adi).next();
            return record == null ? AdifFields.EMPTY : record.fields();
        } catch (IOException e) {
            throw new IllegalStateException("reading from memory does not fail", e);
        }
    }

    private static Map.Entry<String, TextColumn> text(
            String name,
            int length,
            Function<StoredContact, @Nullable String> get,
            BiConsumer<StoredContact, @Nullable String> set) {
        return Map.entry(name, new TextColumn(length, get, set));
    }
}
