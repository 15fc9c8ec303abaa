package yokebar.app.operate.contest.sending;

import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.StringJoiner;
import yokebar.core.operate.contest.ContestEntry;
import yokebar.core.operate.contest.ExchangeField;
import yokebar.core.operate.contest.ExchangeKind;
import yokebar.core.operate.contest.sending.NextStep;
import yokebar.core.operate.contest.sending.StandardTexts;
import yokebar.core.operate.contest.sending.TextSlot;
import yokebar.core.operate.contest.sending.TextTemplate;
import yokebar.core.operate.contest.sending.WayOfWorking;

/**
 * A contest line as far as something can be said of it.
 *
 * @param complete whether all of the other station's exchange was typed
 * @param problem what has to be corrected first; empty when nothing has
 * @param values what texts can contain
 */
public record SpokenLine(boolean complete, String problem, TextTemplate.Values values) {

    /**
     * @param fields what the own station sends
     * @param sent by their names
     * @param shortReports whether reports are sent short, as by key
     */
    public static SpokenLine of(
            ContestEntry entry,
            List<ExchangeField> fields,
            Map<String, String> sent,
            String ownCall,
            boolean shortReports) {
        StringJoiner exchange = new StringJoiner(" ");
        String serial = "";
        for (ExchangeField field : fields) {
            String value = sent.getOrDefault(field.name(), "");
            exchange.add(shortReports && field.kind() == ExchangeKind.REPORT ? StandardTexts.report(value) : value);
            serial = field.kind() == ExchangeKind.SERIAL ? value : serial;
        }
        return new SpokenLine(
                entry.call() != null
                        && entry.missing().isEmpty()
                        && entry.unread().isEmpty(),
                entry.unread().isEmpty()
                        ? ""
                        : ContestEntry.unreadSentence(entry.unread().get(0)),
                new TextTemplate.Values(
                        entry.call() == null ? "" : entry.call().text(),
                        ownCall,
                        exchange.toString(),
                        serial,
                        StandardTexts.missing(entry.missing())));
    }

    /** @param sent what was sent to the station already */
    public NextStep next(WayOfWorking way, Set<TextSlot> sent) {
        return NextStep.of(way, !values.call().isEmpty(), complete, sent);
    }
}
