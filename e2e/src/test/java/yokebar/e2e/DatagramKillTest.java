package yokebar.e2e;

import static org.assertj.core.api.Assertions.assertThat;

import java.net.DatagramPacket;
import java.net.DatagramSocket;
import java.net.InetAddress;
import java.nio.charset.StandardCharsets;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Random;
import java.util.Set;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

/**
 * Datagrams have no acknowledgement: what a kill finds received but not stored is lost. This measures how much that is, with fifty
 * records a second and kills at random.
 */
class DatagramKillTest {
    private static final int KILLS = Integer.getInteger("yokebar.kills", 1);
    private static final int EVERY_MS = 20;
    /** What was sent earlier than this before a kill must be in the log. */
    private static final long MAY_BE_LOST_MS = 1000;

    @TempDir
    private Path folder;

    /** @param beforeKillMs how long before the next kill it was sent */
    private record Sent(int number, long beforeKillMs) {}

    @Test
    void onlyTheLastOnesBeforeAKillMayBeLost() throws Exception {
        Random random = new Random(3);
        List<Sent> all = new ArrayList<>();
        Set<String> inLog = new HashSet<>();
        try (YokebarProcess yokebar = new YokebarProcess(folder.resolve("yokebar"));
                DatagramSocket socket = new DatagramSocket(0, InetAddress.getLoopbackAddress())) {
            int number = 0;
            for (int kill = 0; kill < KILLS; kill++) {
                yokebar.start();
                yokebar.put("api/station", "{\"ownCall\":\"CU9QYB\"}");
                List<Long> times = new ArrayList<>();
                int first = number;
                int count = 60 + random.nextInt(60);
                for (int i = 0; i < count; i++) {
                    byte[] record = KillNineTest.record(number++).getBytes(StandardCharsets.US_ASCII);
                    socket.send(new DatagramPacket(
                            record, record.length, InetAddress.getLoopbackAddress(), yokebar.adifPort()));
                    times.add(System.nanoTime());
                    Thread.sleep(EVERY_MS);
                }
                yokebar.kill();
                long killed = System.nanoTime();
                for (int i = 0; i < count; i++) {
                    all.add(new Sent(first + i, (killed - times.get(i)) / 1_000_000));
                }
            }
            yokebar.start();
            yokebar.text("api/contacts.adi")
                    .lines()
                    .filter(line -> line.startsWith("<CALL"))
                    .forEach(line -> inLog.add(line.substring(8, 14)));
        }
        List<Sent> lost = all.stream()
                .filter(sent ->
                        !inLog.contains(KillNineTest.record(sent.number()).substring(8, 14)))
                .toList();
        assertThat(lost).allMatch(sent -> sent.beforeKillMs() < MAY_BE_LOST_MS);
        System.out.printf(
                "datagrams: %d kills, %d sent, %d lost, the earliest %d ms before a kill%n",
                KILLS,
                all.size(),
                lost.size(),
                lost.stream().mapToLong(Sent::beforeKillMs).max().orElse(0));
    }
}
