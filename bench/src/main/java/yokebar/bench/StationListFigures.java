package yokebar.bench;

import java.util.ArrayList;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Random;
import java.util.Set;
import java.util.function.Consumer;
import yokebar.core.basics.call.NearCalls;
import yokebar.core.basics.station.KnownStations;
import yokebar.core.basics.station.StationList;

/** Finds calls in a list of 60 000 stations while one is typed: those that hold a part, and those one slip away. */
public final class StationListFigures {
    private static final int STATIONS = 60_000;
    private static final int LOOKS = 4_000;
    private static final int MAX_FOUND = 60;
    private static final List<String> PREFIXES = List.of(
            "DL", "EA", "F", "JA", "K", "OZ", "W", "ZP", "ZS", "N", "IK", "G", "SM", "OH", "LU", "PY", "VE", "VK");

    private StationListFigures() {}

    /** Prints medians and the 95th percentile. */
    public static void main(String[] args) {
        Random random = new Random(11);
        StringBuilder text = new StringBuilder("edition | 2026-11-20\nfields | NAME | GRIDSQUARE\n");
        Set<String> made = new LinkedHashSet<>();
        while (made.size() < STATIONS) {
            made.add(call(random));
        }
        made.forEach(call -> text.append(call).append(" | JENS | JO62\n"));
        List<String> calls = new ArrayList<>(made);
        long begun = System.nanoTime();
        KnownStations known = new KnownStations(List.of(StationList.read(text.toString())));
        System.out.printf("stations: a list of %d read in %.0f ms%n", STATIONS, (System.nanoTime() - begun) / 1e6);
        measure("with a part of two to four characters", calls, random, call -> {
            int from = random.nextInt(call.length() - 2);
            String part = call.substring(from, Math.min(call.length(), from + 2 + random.nextInt(3)));
            known.callsWith(part, MAX_FOUND);
        });
        measure("one slip away", calls, random, call -> NearCalls.of(call + "A", known::knows));
    }

    private static void measure(String what, List<String> calls, Random random, Consumer<String> look) {
        List<Double> eachMs = new ArrayList<>();
        for (int i = 0; i < LOOKS; i++) {
            String call = calls.get(random.nextInt(calls.size()));
            long start = System.nanoTime();
            look.accept(call);
            eachMs.add((System.nanoTime() - start) / 1e6);
        }
        List<Double> warm = new ArrayList<>(eachMs.subList(LOOKS / 2, LOOKS));
        warm.sort(null);
        System.out.printf(
                "stations: those %s found in %.3f ms, p95 %.3f ms (target 5)%n",
                what, warm.get(warm.size() / 2), warm.get(warm.size() * 95 / 100));
    }

    private static String call(Random random) {
        return PREFIXES.get(random.nextInt(PREFIXES.size())) + random.nextInt(10) + "Q"
                + (char) ('A' + random.nextInt(26)) + (char) ('A' + random.nextInt(26));
    }
}
