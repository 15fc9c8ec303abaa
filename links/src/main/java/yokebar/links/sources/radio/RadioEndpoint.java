package yokebar.links.sources.radio;

import org.jspecify.annotations.Nullable;
import yokebar.links.platform.wire.BusAddress;
import yokebar.links.platform.wire.DeviceAddress;

/**
 * Where a radio is and what it speaks.
 *
 * @param dialect as {@link RadioDialects} names it
 * @param address host and port, or a serial port's path
 * @param baud null for none
 */
public record RadioEndpoint(String dialect, RadioDialects.Options options, String address, @Nullable Integer baud) {

    /** @throws IllegalArgumentException with a sentence when it is not an address */
    public DeviceAddress reachedAt(RadioDialects dialects) {
        DeviceAddress line = DeviceAddress.of(address, baud);
        return dialects.named(dialect).bus() ? new BusAddress(line) : line;
    }

    public RadioDialect speaks(RadioDialects dialects) {
        return dialects.named(dialect).make().apply(options);
    }
}
