package yokebar.links.sources.rotor;

import java.util.List;
import java.util.Optional;
import yokebar.links.sources.search.Probe;

/** Asks whether a rotator is there. */
public final class RotorProbe implements Probe {
    private static final List<Integer> BAUDS = List.of(9_600, 4_800, 19_200, 1_200, 600);

    private final Easycomm easycomm = new Easycomm();

    @Override
    public String words() {
        return "a rotator that speaks Easycomm";
    }

    @Override
    public List<Integer> bauds() {
        return BAUDS;
    }

    @Override
    public byte[] question() {
        return Easycomm.whereAreYou();
    }

    @Override
    public Optional<Answer> listen(byte[] bytes, int length) {
        boolean[] azimuth = new boolean[1];
        easycomm.listen(bytes, length, degrees -> azimuth[0] = true, degrees -> {});
        return azimuth[0] ? Optional.of(new Answer(null, 0)) : Optional.empty();
    }
}
