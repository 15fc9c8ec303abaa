package yokebar.app.sources.rotor;

import java.util.ArrayList;
import java.util.List;
import org.jspecify.annotations.Nullable;
import yokebar.app.platform.rejection.Rejection;
import yokebar.core.sources.rotor.RotorTravel;
import yokebar.links.platform.wire.DeviceAddress;

/**
 * A rotator as it is typed.
 *
 * @param address host and port, or a serial port's path
 * @param baud speed of a serial port, bit/s
 * @param stopDegrees the end it reaches turning anticlockwise, as it reports it
 * @param travelDegrees from there to the other end
 * @param mountOffsetDegrees added to its angle to get the antenna's heading
 * @param toleranceDegrees it may rest so far from where it was sent
 * @param deadZones headings it must not be pointed at, such as {@code 170-190, 300-310}
 * @param presets lines of a heading and a name, such as {@code 45 Europe}
 */
record RotorDraft(
        @Nullable String name,
        @Nullable String address,
        @Nullable Integer baud,
        @Nullable Double stopDegrees,
        @Nullable Double travelDegrees,
        @Nullable Double mountOffsetDegrees,
        @Nullable Double toleranceDegrees,
        @Nullable String deadZones,
        @Nullable String presets) {
    static final double DEFAULT_TOLERANCE_DEGREES = 3;
    private static final double MAX_TOLERANCE_DEGREES = 15;

    /** Takes over what was typed, or says at each field what is wrong. */
    void fill(RotorRow row) {
        List<Rejection.Field> problems = new ArrayList<>();
        row.name = name == null ? "" : name.strip();
        if (row.name.isEmpty() || row.name.length() > 60) {
            problems.add(new Rejection.Field("name", "A rotator needs a name of up to 60 letters."));
        }
        row.address = address == null ? "" : address.strip();
        row.baud = baud;
        try {
            DeviceAddress.of(row.address, baud);
        } catch (IllegalArgumentException e) {
            problems.add(new Rejection.Field("address", String.valueOf(e.getMessage())));
        }
        double stop = stopDegrees == null ? 0 : stopDegrees;
        double travel = travelDegrees == null ? 360 : travelDegrees;
        double offset = mountOffsetDegrees == null ? 0 : mountOffsetDegrees;
        check("stopDegrees", () -> new RotorTravel(stop, 360, 0, List.of()), problems);
        check("travelDegrees", () -> new RotorTravel(0, travel, 0, List.of()), problems);
        check("mountOffsetDegrees", () -> new RotorTravel(0, 360, offset, List.of()), problems);
        row.stopDegrees = stop;
        row.travelDegrees = travel;
        row.mountOffsetDegrees = offset;
        row.toleranceDegrees = toleranceDegrees == null ? DEFAULT_TOLERANCE_DEGREES : toleranceDegrees;
        if (!(row.toleranceDegrees >= 0.5 && row.toleranceDegrees <= MAX_TOLERANCE_DEGREES)) {
            problems.add(new Rejection.Field("toleranceDegrees", "The tolerance is 0.5 to 15 degrees."));
        }
        row.deadZones = deadZones == null ? row.deadZones : deadZones.strip();
        check("deadZones", () -> RotorTravel.readDeadZones(row.deadZones), problems);
        row.presets = presets == null ? row.presets : presets.strip();
        check("presets", () -> RotorPreset.read(row.presets), problems);
        if (!problems.isEmpty()) {
            throw new Rejection(problems);
        }
    }

    private static void check(String field, Runnable attempt, List<Rejection.Field> problems) {
        try {
            attempt.run();
        } catch (IllegalArgumentException e) {
            String sentence = String.valueOf(e.getMessage());
            problems.add(new Rejection.Field(
                    field, Character.toUpperCase(sentence.charAt(0)) + sentence.substring(1) + "."));
        }
    }
}
