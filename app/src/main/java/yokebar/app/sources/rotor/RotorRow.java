package yokebar.app.sources.rotor;

import jakarta.persistence.Entity;
import jakarta.persistence.GeneratedValue;
import jakarta.persistence.GenerationType;
import jakarta.persistence.Id;
import jakarta.persistence.SequenceGenerator;
import jakarta.persistence.Table;
import jakarta.persistence.Version;
import org.jspecify.annotations.Nullable;
import yokebar.core.sources.rotor.RotorTravel;

/** A rotator as it is set up. */
@Entity
@Table(name = "rotor")
class RotorRow {
    @Id
    @GeneratedValue(strategy = GenerationType.SEQUENCE, generator = "rotor")
    @SequenceGenerator(name = "rotor", sequenceName = "rotor_seq", allocationSize = 1)
    @Nullable
    Long id;

    @Version
    int version;

    String name = "";
    String address = "";

    /** Speed of a serial port, bit/s. */
    @Nullable
    Integer baud;

    double stopDegrees;
    double travelDegrees = 360;
    double mountOffsetDegrees;

    /** It may rest so far from where it was sent. */
    double toleranceDegrees = RotorDraft.DEFAULT_TOLERANCE_DEGREES;

    /** Headings it must not be pointed at, such as {@code 170-190, 300-310}. */
    String deadZones = "";

    /** Lines of a heading and a name, such as {@code 45 Europe}. */
    String presets = "";

    long number() {
        if (id == null) {
            throw new IllegalStateException("not stored yet");
        }
        return id;
    }

    RotorTravel travel() {
        return new RotorTravel(stopDegrees, travelDegrees, mountOffsetDegrees, RotorTravel.readDeadZones(deadZones));
    }
}
