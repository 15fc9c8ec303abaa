package yokebar.links.sources.rotor;

/** Lets the fuzz reach the parser of Easycomm. */
public final class EasycommTarget {
    private final Easycomm easycomm = new Easycomm();

    /** @return what was understood, as a short text that differs when something else happened */
    public String feed(byte[] bytes, int length) {
        StringBuilder heard = new StringBuilder();
        Easycomm.Understood understood = easycomm.listen(
                bytes,
                length,
                azimuth -> heard.append('A').append(size(azimuth)).append(' '),
                elevation -> heard.append('E').append(size(elevation)).append(' '));
        return heard + (understood.words() > 0 ? "words " : "") + (understood.garbage() > 0 ? "garbage" : "");
    }

    private static int size(double degrees) {
        return (int) Math.signum(degrees) * (Math.abs(degrees) > 360 ? 2 : 1);
    }
}
