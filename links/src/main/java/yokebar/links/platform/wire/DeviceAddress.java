package yokebar.links.platform.wire;

import org.jspecify.annotations.Nullable;

/** Where a device is reached. */
public sealed interface DeviceAddress permits TcpAddress, SerialAddress, BusAddress {

    /** @throws LinkFault saying what is in the way */
    Wire open() throws LinkFault;

    /** For the operator, such as {@code /dev/ttyUSB0 at 38 400 baud}. */
    String words();

    /** What to check when it opens but nothing answers. */
    String whenSilent();

    /** What to check when what comes makes no sense. */
    String whenGarbled();

    /**
     * Reads {@code host:port} or a serial port's path.
     *
     * @param baud used for a serial port; null when none was given
     * @throws IllegalArgumentException with a sentence when it is neither
     */
    static DeviceAddress of(String text, @Nullable Integer baud) {
        String tidy = text.strip();
        int colon = tidy.lastIndexOf(':');
        boolean serial = tidy.startsWith("/") || tidy.matches("[cC][oO][mM]\\d+");
        if (serial) {
            if (baud == null || baud < 300 || baud > 4_000_000) {
                throw new IllegalArgumentException(
                        "A serial port needs a speed of 300 to 4 000 000 baud, such as 38400.");
            }
            return new SerialAddress(tidy, baud);
        }
        if (colon > 0 && tidy.substring(colon + 1).matches("\\d{1,5}")) {
            int port = Integer.parseInt(tidy.substring(colon + 1));
            if (port >= 1 && port <= 65_535) {
                return new TcpAddress(tidy.substring(0, colon), port);
            }
        }
        throw new IllegalArgumentException("\"" + text
                + "\" is not an address: write a serial port such as /dev/ttyUSB0, or a host and port such as "
                + "127.0.0.1:7402.");
    }
}
