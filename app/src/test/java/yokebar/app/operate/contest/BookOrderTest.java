package yokebar.app.operate.contest;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.Comparator;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Random;
import java.util.TreeSet;
import org.junit.jupiter.api.Test;
import yokebar.core.log.adif.AdifFields;
import yokebar.core.log.contact.Contact;
import yokebar.core.log.contact.ContactAdif;
import yokebar.core.log.contact.Reading;
import yokebar.core.log.index.LogFields;

class BookOrderTest {
    private final BookOrder order = new BookOrder();

    private static Contact contact(String call, String time, String serial, String line) {
        AdifFields fields = AdifFields.of("STATION_CALLSIGN", "CU9QYB", "CALL", call, "QSO_DATE", "20260501")
                .with("TIME_ON", time)
                .with("BAND", "20m")
                .with("MODE", "CW")
                .with("STX", serial)
                .with(LogFields.CONTEST_LINE, line);
        return ((Reading.Readable) ContactAdif.read(fields, null)).contact();
    }

    private static List<Long> ids(List<Map.Entry<Long, Contact>> entries) {
        return entries.stream().map(Map.Entry::getKey).toList();
    }

    @Test
    void anEmptyBookBeginsWithOne() {
        assertThat(order.nextSerial()).isEqualTo(1);
        assertThat(order.inOrder()).isEmpty();
        assertThat(order.loggedAs("a")).isEmpty();
        assertThat(order.sentTo(1)).isEmpty();
    }

    @Test
    void contactsInOneSecondComeAsTheyWereLogged() {
        order.put(3, contact("ZP5QXA", "140700", "3", "c"));
        order.put(2, contact("OZ1QAB", "140700", "2", "b"));
        order.put(9, contact("DL1QAA", "140659", "1", "a"));
        assertThat(ids(order.inOrder())).containsExactly(9L, 2L, 3L);
        assertThat(ids(order.latestFirst().toList())).containsExactly(3L, 2L, 9L);
    }

    @Test
    void whatIsCorrectedStandsOnceAndWhereItBelongs() {
        order.put(1, contact("ZP5QXA", "140700", "7", "a"));
        order.put(2, contact("OZ1QAB", "140800", "8", "b"));
        order.put(2, contact("OZ1QAC", "140600", "5", "c"));
        assertThat(ids(order.inOrder())).containsExactly(2L, 1L);
        assertThat(order.nextSerial()).isEqualTo(8);
        assertThat(order.serials()).containsExactly(5, 7);
        assertThat(order.loggedAs("b")).isEmpty();
        assertThat(order.loggedAs("c").orElseThrow().getKey()).isEqualTo(2);
    }

    @Test
    void aSerialSentTwiceIsStillSentWhenOneOfThemGoes() {
        order.put(1, contact("ZP5QXA", "140700", "7", "a"));
        order.put(2, contact("OZ1QAB", "140800", "7", "a"));
        assertThat(order.sentTo(7).orElseThrow().text()).isEqualTo("ZP5QXA");
        order.remove(1);
        order.remove(1);
        assertThat(order.sentTo(7).orElseThrow().text()).isEqualTo("OZ1QAB");
        assertThat(order.loggedAs("a").orElseThrow().getKey()).isEqualTo(2);
        order.remove(2);
        assertThat(order.serials()).isEmpty();
    }

    @Test
    void aSerialThatIsNoNumberOrHasTooManyDigitsIsNoSerial() {
        order.put(1, contact("ZP5QXA", "140700", "007", "a"));
        order.put(2, contact("OZ1QAB", "140800", "1234567", "b"));
        order.put(3, contact("DL1QAA", "140800", "seven", "c"));
        order.put(4, contact("DL2QAA", "140800", "", ""));
        assertThat(order.serials()).containsExactly(7);
    }

    @Test
    void afterAnyChangesItSaysWhatLookingAtAllOfThemSays() {
        Random random = new Random(4);
        Map<Long, Contact> all = new HashMap<>();
        for (int i = 0; i < 2_000; i++) {
            long id = random.nextInt(60);
            if (random.nextInt(3) == 0) {
                order.remove(id);
                all.remove(id);
            } else {
                Contact contact =
                        contact("ZP5QXA", "14" + (10 + random.nextInt(50)) + "00", "" + random.nextInt(90), "l" + id);
                order.put(id, contact);
                all.put(id, contact);
            }
            TreeSet<Integer> serials = new TreeSet<>();
            all.values().forEach(one -> serials.add(Integer.parseInt(one.detail("STX"))));
            serials.remove(0);
            assertThat(order.serials()).isEqualTo(serials);
            assertThat(order.nextSerial()).isEqualTo(serials.isEmpty() ? 1 : serials.last() + 1);
            assertThat(ids(order.inOrder()))
                    .isEqualTo(all.entrySet().stream()
                            .sorted(Comparator.comparing((Map.Entry<Long, Contact> one) ->
                                            one.getValue().start())
                                    .thenComparing(Map.Entry::getKey))
                            .map(Map.Entry::getKey)
                            .toList());
        }
    }
}
