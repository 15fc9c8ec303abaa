package yokebar.core.log.index;

import java.time.LocalDate;
import java.util.Locale;
import java.util.Optional;
import org.jspecify.annotations.Nullable;
import yokebar.core.basics.call.Call;
import yokebar.core.basics.entity.Entities;
import yokebar.core.basics.entity.Situation;
import yokebar.core.basics.mode.Mode;
import yokebar.core.basics.mode.ModeGroup;
import yokebar.core.log.adif.AdifFields;
import yokebar.core.log.contact.Contact;
import yokebar.core.services.confirm.ConfirmationMarks;

/**
 * A contact as it is searched: its own fields, and what follows from them.
 *
 * @param startSecond epoch second
 * @param frequencyHz 0 when only the band is known
 * @param fields by the names of {@link LogFields}
 */
public record Entry(long id, long startSecond, long frequencyHz, AdifFields fields) {
    private static final int SQUARE_LENGTH = 4;

    public static Entry of(long id, Contact contact, Entities entities) {
        AdifFields.Builder fields = new AdifFields.Builder();
        contact.details().forEach(fields::put);
        fields.put(LogFields.OWN_CALL, contact.ownCall().text());
        fields.put(
                LogFields.PROPAGATION,
                contact.propagation() == null ? null : contact.propagation().name());
        return of(
                id,
                contact.start().getEpochSecond(),
                contact.frequencyHz(),
                contact.call().text(),
                contact.band().adifName(),
                contact.mode(),
                fields,
                entities);
    }

    /** @param fields those that stand beside the named ones */
    public static Entry of(
            long id,
            long startSecond,
            @Nullable Long frequencyHz,
            String call,
            String band,
            Mode mode,
            AdifFields.Builder fields,
            Entities entities) {
        LocalDate day = LocalDate.ofEpochDay(Math.floorDiv(startSecond, 86_400L));
        AdifFields given = fields.build();
        fields.put(LogFields.CALL, call);
        fields.put(LogFields.BAND, band);
        fields.put(LogFields.MODE, mode.group() == ModeGroup.PHONE ? mode.name() : mode.label());
        fields.put("SUBMODE", mode.submode());
        fields.put(LogFields.GROUP, mode.group().name());
        fields.put(LogFields.YEAR, Integer.toString(day.getYear()));
        String locator = given.get(LogFields.LOCATOR);
        if (locator != null && locator.length() >= SQUARE_LENGTH) {
            fields.put(LogFields.SQUARE, locator.substring(0, SQUARE_LENGTH).toUpperCase(Locale.ROOT));
        }
        fields.put(LogFields.CONFIRMED_BY, ConfirmationMarks.confirmedBy(given));
        placed(given, fields, call, day, entities);
        return new Entry(id, startSecond, frequencyHz == null ? 0 : frequencyHz, fields.build());
    }

    /** What the record does not say of where the other station was is told by its call. */
    private static void placed(
            AdifFields given, AdifFields.Builder fields, String call, LocalDate day, Entities entities) {
        if (given.get(LogFields.ENTITY) == null) {
            Optional<Situation> situation = entities.of(new Call(call), day);
            situation.ifPresent(s -> {
                fields.put(LogFields.ENTITY, Integer.toString(s.entity().number()));
                fields.put(LogFields.ENTITY_NAME, s.entity().name());
                fields.put(LogFields.CONTINENT, s.continent());
                if (given.get("CQZ") == null) {
                    fields.put("CQZ", Integer.toString(s.cqZone()));
                }
                if (given.get("ITUZ") == null) {
                    fields.put("ITUZ", Integer.toString(s.ituZone()));
                }
            });
        } else {
            // One name for each entity, however the programs of the years have spelled it.
            entities.numbered(number(given.get(LogFields.ENTITY))).ifPresent(entity -> {
                fields.put(LogFields.ENTITY_NAME, entity.name());
                fields.put(LogFields.CONTINENT, entity.continent());
            });
        }
    }

    private static int number(@Nullable String text) {
        try {
            return text == null ? 0 : Integer.parseInt(text);
        } catch (NumberFormatException e) {
            return 0;
        }
    }
}
