package yokebar.app.sources.radio;

import jakarta.persistence.Column;
import jakarta.persistence.Entity;
import jakarta.persistence.GeneratedValue;
import jakarta.persistence.GenerationType;
import jakarta.persistence.Id;
import jakarta.persistence.SequenceGenerator;
import jakarta.persistence.Table;
import jakarta.persistence.Version;
import org.jspecify.annotations.Nullable;

/** A radio as it is set up. */
@Entity
@Table(name = "radio")
class RadioRow {
    @Id
    @GeneratedValue(strategy = GenerationType.SEQUENCE, generator = "radio")
    @SequenceGenerator(name = "radio", sequenceName = "radio_seq", allocationSize = 1)
    @Nullable
    Long id;

    @Version
    int version;

    String name = "";
    String dialect = "";
    String address = "";

    /** Speed of a serial port, bit/s. */
    @Nullable
    Integer baud;

    /** Its address on a bus of several radios. */
    int bus;

    @Column(name = "full_power_w")
    int fullPowerW;

    int pollEveryMs;

    /** Whether its lower sideband is used for sound-keyed radioteletype. */
    boolean lowerSidebandKeyed;

    /** TCP port other programs find it on; null when it is not shared. */
    @Nullable
    Integer sharePort;

    /** Whether programs at that port may transmit. */
    boolean shareTransmit;

    /** Whether it sends texts for the operator. */
    boolean sendTexts;

    /** No transmission through Yokebar is longer, s. */
    @Column(name = "keying_limit_s")
    int keyingLimitS = RadioDraft.DEFAULT_KEYING_LIMIT_S;

    /** The rotator that turns its antenna; null for the first that can. */
    @Nullable
    Long rotorId;

    long number() {
        if (id == null) {
            throw new IllegalStateException("not stored yet");
        }
        return id;
    }
}
