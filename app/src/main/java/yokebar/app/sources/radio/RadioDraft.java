package yokebar.app.sources.radio;

import java.util.ArrayList;
import java.util.List;
import org.jspecify.annotations.Nullable;
import yokebar.app.platform.rejection.Rejection;
import yokebar.links.platform.wire.DeviceAddress;
import yokebar.links.sources.radio.RadioDialects;

/**
 * A radio as it is typed.
 *
 * @param address host and port, or a serial port's path
 * @param baud speed of a serial port, bit/s
 * @param bus its address on a bus of several, 0 to 255
 * @param fullPowerW what full power is, W
 * @param pollEveryMs how often it is asked, ms
 * @param shareTransmit whether programs at that port may transmit; left out, it stays as it is, and is off at first
 * @param sendTexts whether it sends texts for the operator; left out, it stays as it is, and is off at first
 * @param keyingLimitS no transmission through Yokebar is longer, s
 * @param rotorId the rotator that turns its antenna; 0 for the first that can, left out it stays
 * @param sharePort where other programs find it, 0 for not at all; left out, a new radio gets the next free one
 */
record RadioDraft(
        @Nullable String name,
        @Nullable String dialect,
        @Nullable String address,
        @Nullable Integer baud,
        @Nullable Integer bus,
        @Nullable Integer fullPowerW,
        @Nullable Integer pollEveryMs,
        @Nullable Boolean lowerSidebandKeyed,
        @Nullable Integer sharePort,
        @Nullable Boolean shareTransmit,
        @Nullable Boolean sendTexts,
        @Nullable Integer keyingLimitS,
        @Nullable Long rotorId) {
    /** Long enough for a long over, short enough for a hot day. */
    static final int DEFAULT_KEYING_LIMIT_S = 180;

    private static final int DEFAULT_FULL_POWER_W = 100;
    private static final int DEFAULT_POLL_MS = 100;

    /**
     * As it is taken from a file: whether it may transmit is decided at this computer.
     *
     * @param rotor null to leave it as it is
     */
    RadioDraft fromFile(@Nullable Long rotor) {
        return new RadioDraft(
                name,
                dialect,
                address,
                baud,
                bus,
                fullPowerW,
                pollEveryMs,
                lowerSidebandKeyed,
                sharePort,
                null,
                null,
                keyingLimitS,
                rotor);
    }

    /** Takes over what was typed, or says at each field what is wrong. */
    void fill(RadioRow row, RadioDialects dialects) {
        List<Rejection.Field> problems = new ArrayList<>();
        row.name = name == null ? "" : name.strip();
        if (row.name.isEmpty() || row.name.length() > 60) {
            problems.add(new Rejection.Field("name", "A radio needs a name of up to 60 letters."));
        }
        try {
            row.dialect = dialects.named(dialect == null ? "" : dialect).id();
        } catch (IllegalArgumentException e) {
            problems.add(new Rejection.Field("dialect", String.valueOf(e.getMessage())));
        }
        row.address = address == null ? "" : address.strip();
        row.baud = baud;
        try {
            DeviceAddress.of(row.address, baud);
        } catch (IllegalArgumentException e) {
            problems.add(new Rejection.Field("address", String.valueOf(e.getMessage())));
        }
        row.bus = within("bus", bus, 0, 0, 255, "The address on the bus is 0 to 255.", problems);
        row.fullPowerW = within(
                "fullPowerW", fullPowerW, DEFAULT_FULL_POWER_W, 1, 10_000, "Full power is 1 to 10 000 W.", problems);
        row.pollEveryMs = within(
                "pollEveryMs", pollEveryMs, DEFAULT_POLL_MS, 20, 5000, "It is asked every 20 to 5000 ms.", problems);
        row.lowerSidebandKeyed = Boolean.TRUE.equals(lowerSidebandKeyed);
        if (sharePort != null) {
            int port = within(
                    "sharePort", sharePort, 0, 0, 65_535, "A port is 1 to 65535, or 0 for not sharing.", problems);
            row.sharePort = port == 0 ? null : port;
        }
        if (shareTransmit != null) {
            row.shareTransmit = shareTransmit;
        }
        if (sendTexts != null) {
            row.sendTexts = sendTexts;
        }
        if (keyingLimitS != null) {
            row.keyingLimitS = within(
                    "keyingLimitS",
                    keyingLimitS,
                    DEFAULT_KEYING_LIMIT_S,
                    5,
                    1800,
                    "The time limit for a transmission is 5 to 1800 seconds.",
                    problems);
        }
        if (rotorId != null) {
            row.rotorId = rotorId == 0 ? null : rotorId;
        }
        if (!problems.isEmpty()) {
            throw new Rejection(problems);
        }
    }

    private static int within(
            String field,
            @Nullable Integer value,
            int otherwise,
            int least,
            int max,
            String sentence,
            List<Rejection.Field> problems) {
        int taken = value == null ? otherwise : value;
        if (taken < least || taken > max) {
            problems.add(new Rejection.Field(field, sentence));
        }
        return taken;
    }
}
