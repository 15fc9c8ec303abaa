package yokebar.bench;

import java.nio.charset.StandardCharsets;

/** Made-up ADI text of any length, the same every time. */
final class SampleLog {
    private static final String[] BANDS = {"40m 7.074", "30m 10.136", "20m 14.074", "17m 18.100", "15m 21.074"};
    private static final String[] PREFIXES = {"OZ", "SM", "LA", "DL", "EA", "ZP", "PY", "JA", "VK", "K"};

    private SampleLog() {}

    static byte[] adi(int contacts) {
        StringBuilder text = new StringBuilder(contacts * 400).append("Sample log\n<ADIF_VER:5>3.1.4 <EOH>\n");
        for (int i = 0; i < contacts; i++) {
            contact(text, i);
        }
        return text.toString().getBytes(StandardCharsets.UTF_8);
    }

    /** Contact number i; no two are the same contact. */
    static void contact(StringBuilder text, int i) {
        String[] band = BANDS[i % BANDS.length].split(" ");
        int minute = i / 2 % (24 * 60);
        int day = i / 2 / (24 * 60);
        field(text, "CALL", call(i));
        field(text, "QSO_DATE", "%04d%02d%02d".formatted(2015 + day / 336, day / 28 % 12 + 1, day % 28 + 1));
        field(text, "TIME_ON", "%02d%02d%02d".formatted(minute / 60, minute % 60, i % 60));
        field(text, "BAND", band[0]);
        field(text, "FREQ", band[1] + "%03d".formatted(i % 900));
        field(text, "MODE", i % 3 == 0 ? "CW" : "FT8");
        field(text, "RST_SENT", i % 3 == 0 ? "599" : "-1" + i % 10);
        field(text, "RST_RCVD", i % 3 == 0 ? "579" : "-0" + i % 10);
        field(text, "STATION_CALLSIGN", "CU9QYB");
        field(text, "MY_GRIDSQUARE", "HM49kq");
        field(text, "GRIDSQUARE", "JO" + i % 10 + i / 10 % 10 + "ab");
        field(text, "NAME", i % 50 == 0 ? "Zoë" : "Ana");
        field(text, "COUNTRY", "Denmark");
        field(text, "DXCC", "221");
        field(text, "CQZ", "14");
        field(text, "TX_PWR", "100");
        field(text, "COMMENT", "good signal, number " + i);
        field(text, "APP_WAVELET_DT", "0." + i % 10);
        text.append("<EOR>\n");
    }

    static String call(int i) {
        return PREFIXES[i % 10] + i / 10 % 10 + "Q" + (char) ('A' + i / 100 % 26) + (char) ('A' + i / 2600 % 26);
    }

    private static void field(StringBuilder text, String name, String value) {
        int bytes = value.getBytes(StandardCharsets.UTF_8).length;
        text.append('<')
                .append(name)
                .append(':')
                .append(bytes)
                .append('>')
                .append(value)
                .append(' ');
    }
}
