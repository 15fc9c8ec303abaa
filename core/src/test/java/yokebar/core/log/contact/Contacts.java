package yokebar.core.log.contact;

import yokebar.core.log.adif.AdifFields;

/** Contacts for tests. */
public final class Contacts {
    private Contacts() {}

    /** A contact of CU9QYB with ZP5QXA on 20 m in CW at 14:07:00, with fields changed or added as given. */
    public static Contact contact(String... namesAndValues) {
        AdifFields fields = AdifFields.of(
                "CALL", "ZP5QXA",
                "QSO_DATE", "20260501",
                "TIME_ON", "140700",
                "BAND", "20m",
                "MODE", "CW",
                "STATION_CALLSIGN", "CU9QYB");
        for (int i = 0; i < namesAndValues.length; i += 2) {
            fields = fields.with(namesAndValues[i], namesAndValues[i + 1]);
        }
        return readable(ContactAdif.read(fields, null));
    }

    public static Contact readable(Reading reading) {
        if (reading instanceof Reading.Readable ok) {
            return ok.contact();
        }
        throw new AssertionError(((Reading.Unreadable) reading).sentence());
    }

    public static LoggedContact logged(long id, Source source, String... namesAndValues) {
        return new LoggedContact(id, contact(namesAndValues), Provenance.of(source));
    }
}
