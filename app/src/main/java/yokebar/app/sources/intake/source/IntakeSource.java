package yokebar.app.sources.intake.source;

import jakarta.persistence.Entity;
import jakarta.persistence.EnumType;
import jakarta.persistence.Enumerated;
import jakarta.persistence.GeneratedValue;
import jakarta.persistence.GenerationType;
import jakarta.persistence.Id;
import jakarta.persistence.SequenceGenerator;
import jakarta.persistence.Table;
import jakarta.persistence.Version;
import java.util.Arrays;
import java.util.Map;
import java.util.Set;
import java.util.stream.Collectors;
import org.hibernate.annotations.JdbcTypeCode;
import org.hibernate.type.SqlTypes;
import org.jspecify.annotations.Nullable;
import yokebar.app.sources.intake.ArrivalPath;
import yokebar.core.log.contact.Source;
import yokebar.links.sources.followed.FilePosition;

/** Where records come from: a followed file, a port. */
@Entity
@Table(name = "intake_source")
public class IntakeSource {
    /** What kinds of sources there are. */
    public enum Kind {
        FILE(Source.FOLLOWED),
        DATAGRAMS(Source.DATAGRAM),
        STREAM(Source.STREAM);

        private final Source source;

        Kind(Source source) {
            this.source = source;
        }
    }

    @Id
    @GeneratedValue(strategy = GenerationType.SEQUENCE, generator = "intake_source")
    @SequenceGenerator(name = "intake_source", sequenceName = "intake_source_seq", allocationSize = 1)
    @Nullable
    Long id;

    @Version
    int version;

    @Enumerated(EnumType.STRING)
    @JdbcTypeCode(SqlTypes.VARCHAR)
    public Kind kind = Kind.FILE;

    public String name = "";

    /** Of a followed file. */
    @Nullable
    public String path;

    /** Null for the one given when Yokebar was started. */
    @Nullable
    public Integer port;

    /** With commas between; null for all. */
    @Nullable
    String ownCalls;

    @Nullable
    public Long placeId;

    /** The radio its contacts are made on; null when none was said. */
    @Nullable
    public Long radioId;

    @Nullable
    public String operatorCall;

    public boolean holdDeliveries;
    public boolean lookUp = true;
    long readTo;
    long checkedFrom;
    long checksum;

    public long number() {
        if (id == null) {
            throw new IllegalStateException("not stored yet");
        }
        return id;
    }

    /** Under which it is a hookup. The two that were there from the start have names of their own. */
    public String hookupId() {
        return switch (kind) {
            case FILE -> "file-" + number();
            case DATAGRAMS -> number() == 1 ? "adif-datagrams" : "datagrams-" + number();
            case STREAM -> number() == 2 ? "adif-stream" : "stream-" + number();
        };
    }

    /** Set up by Yokebar itself; it can be switched off, but not removed. */
    public boolean builtIn() {
        return kind != Kind.FILE && port == null;
    }

    public FilePosition position() {
        return new FilePosition(readTo, checkedFrom, checksum);
    }

    public void moveTo(FilePosition position) {
        readTo = position.offset();
        checkedFrom = position.checkedFrom();
        checksum = position.checksum();
    }

    public ArrivalPath arrivalPath() {
        return new ArrivalPath(hookupId(), name, kind.source, options(), null);
    }

    public Set<String> calls() {
        return ownCalls == null ? Set.of() : Arrays.stream(ownCalls.split(",")).collect(Collectors.toUnmodifiableSet());
    }

    private SourceOptions options() {
        return new SourceOptions(
                calls(), placeId, radioId, operatorCall, holdDeliveries, lookUp, SourceOptions.Doubles.MERGE, Map.of());
    }
}
