package yokebar.app.operate.net;

import jakarta.persistence.Column;
import jakarta.persistence.Entity;
import jakarta.persistence.GeneratedValue;
import jakarta.persistence.GenerationType;
import jakarta.persistence.Id;
import jakarta.persistence.SequenceGenerator;
import jakarta.persistence.Table;
import jakarta.persistence.Version;
import java.time.Instant;
import java.util.Collection;
import java.util.EnumSet;
import java.util.HashMap;
import java.util.Map;
import java.util.Objects;
import java.util.Set;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;
import yokebar.app.station.callbook.KnownStation;
import yokebar.core.basics.call.Call;
import yokebar.core.basics.mode.Mode;
import yokebar.core.basics.mode.Modes;
import yokebar.core.operate.line.ReportDefaults;
import yokebar.core.operate.net.CheckInMark;
import yokebar.core.operate.net.Turns;

/** A station that checked in to a session. */
@Entity
@Table(name = "net_check_in")
class CheckInRow {
    @Id
    @GeneratedValue(strategy = GenerationType.SEQUENCE, generator = "net_check_in")
    @SequenceGenerator(name = "net_check_in", sequenceName = "net_check_in_seq", allocationSize = 1)
    @Nullable
    Long id;

    @Version
    int version;

    long sessionId;

    /** Its place on the list, from 1. */
    int listOrder;

    /** As typed; a part of a call, or a name, while the call is not known. */
    String heard = "";

    @Nullable
    String callSign;

    @Nullable
    String name;

    /** The town or the country the callbook names; null while it does not. */
    @Nullable
    String place;

    /** The station that relayed it. */
    @Nullable
    String via;

    private String marks = "";

    @Nullable
    String rstSent;

    @Nullable
    String rstRcvd;

    @Nullable
    String note;

    @Column(name = "checked_in_at")
    Instant at = Instant.EPOCH;

    @Nullable
    Long frequencyHz;

    @Nullable
    String mode;

    @Column(name = "power_w")
    @Nullable
    Integer powerW;

    int spokenRound;

    int skippedRound;

    /** In a net that another station leads: whether there was a contact with it. */
    boolean worked;

    /** The contact it was logged as; the log may have lost it since. */
    @Nullable
    Long contactId;

    /** The page's key of the line it checked in with. */
    @Nullable
    String entryKey;

    /** The page's key of the last line that was about it. */
    @Nullable
    String noteKey;

    long number() {
        return Objects.requireNonNull(id, "not stored yet");
    }

    Set<CheckInMark> marks() {
        Set<CheckInMark> all = EnumSet.noneOf(CheckInMark.class);
        for (String mark : marks.split(",")) {
            if (!mark.isEmpty()) {
                all.add(CheckInMark.valueOf(mark));
            }
        }
        return all;
    }

    void marks(Collection<CheckInMark> all) {
        marks = all.stream().sorted().distinct().map(CheckInMark::name).collect(Collectors.joining(","));
    }

    /** Null while only a part of it is known. */
    @Nullable
    Call call() {
        return callSign == null ? null : Call.read(callSign);
    }

    /** The call, or what was heard of it. */
    String shown() {
        return callSign == null ? heard : callSign;
    }

    /** Takes what the callbook knows and nobody has said. */
    void learn(KnownStation station) {
        name = name == null ? station.name() : name;
        place = station.town() == null ? station.country() : station.town();
    }

    /** What its contact gets from it, by ADIF names. */
    Map<String, @Nullable String> contactFields() {
        Map<String, @Nullable String> fields = new HashMap<>();
        fields.put("CALL", callSign);
        fields.put("NAME", name);
        fields.put("RST_SENT", rstSent == null ? usualReport() : rstSent);
        fields.put("RST_RCVD", rstRcvd == null ? usualReport() : rstRcvd);
        String relayed = via == null ? null : "Relayed by " + via;
        fields.put("COMMENT", relayed == null ? note : note == null ? relayed : relayed + "; " + note);
        return fields;
    }

    private @Nullable String usualReport() {
        Mode known = mode == null ? null : Modes.read(mode, null);
        return known == null ? null : ReportDefaults.of(known);
    }

    Turns.Place place() {
        return new Turns.Place(number(), listOrder, marks(), spokenRound, skippedRound);
    }
}
