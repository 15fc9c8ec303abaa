package yokebar.core.operate.contest.entry;

import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;
import yokebar.core.log.adif.AdifFields;
import yokebar.core.operate.contest.ExchangeField;
import yokebar.core.operate.contest.ExchangeKind;

/**
 * The exchange of a contest as ADIF fields of a contact. A report and a serial stand in fields of their own; everything but the
 * report is the text of the exchange.
 *
 * @param fields of the exchange, in their order
 */
public record ExchangeRecord(List<ExchangeField> fields) {

    /** @param values by the names of the fields */
    public void putSent(Map<String, String> values, AdifFields.Builder contact) {
        numbers(values, "RST_SENT", "STX").forEach(contact::put);
    }

    /** @param values by the names of the fields */
    public void putReceived(Map<String, String> values, AdifFields.Builder contact) {
        received(values).forEach(contact::put);
    }

    /**
     * What a contact says of what was received.
     *
     * @param values by the names of the fields
     * @return by ADIF names, null for a field that is to be empty
     */
    public Map<String, @Nullable String> received(Map<String, String> values) {
        Map<String, @Nullable String> contact = numbers(values, "RST_RCVD", "SRX");
        // A zone, a state, a locator or a name that was heard is known of the station outside of the contest, too.
        for (ExchangeField field : fields) {
            String heard = values.get(field.name());
            if (heard != null && field.kind().saysWhoOrWhere()) {
                contact.put(Objects.requireNonNull(field.kind().adifField()), heard);
            }
        }
        return contact;
    }

    private Map<String, @Nullable String> numbers(Map<String, String> values, String report, String serial) {
        Map<String, @Nullable String> contact = new LinkedHashMap<>();
        for (ExchangeField field : fields) {
            if (field.kind() == ExchangeKind.REPORT) {
                contact.put(report, values.get(field.name()));
            } else if (field.kind() == ExchangeKind.SERIAL) {
                contact.put(serial, values.get(field.name()));
            }
        }
        contact.put(
                serial + "_STRING",
                fields.stream()
                        .filter(field -> field.kind() != ExchangeKind.REPORT && values.containsKey(field.name()))
                        .map(field -> values.get(field.name()))
                        .collect(Collectors.joining(" ")));
        return contact;
    }
}
