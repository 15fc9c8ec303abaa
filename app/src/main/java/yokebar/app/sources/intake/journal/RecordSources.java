package yokebar.app.sources.intake.journal;

import java.io.ByteArrayInputStream;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.util.stream.Stream;
import org.springframework.beans.factory.ObjectProvider;
import org.springframework.stereotype.Service;
import yokebar.app.sources.intake.ArrivalPath;
import yokebar.app.sources.intake.Arrivals;
import yokebar.app.sources.intake.file.FollowedFile;
import yokebar.app.sources.intake.file.FollowedFiles;
import yokebar.app.sources.intake.port.SourcePort;
import yokebar.app.sources.intake.port.SourcePorts;
import yokebar.app.sources.intake.source.IntakeSource;
import yokebar.core.log.adif.AdifFields;
import yokebar.core.log.adif.AdifRecord;
import yokebar.core.log.contact.Source;
import yokebar.core.log.exchange.LogText;

/** Reads records of the journal again, and knows the paths they came by. */
@Service
public class RecordSources {
    private static final String CABRILLO_LINE = "QSO:";
    private static final String CABRILLO_HEAD = "START-OF-LOG: 3.0\n";

    private final ObjectProvider<FollowedFiles> files;
    private final ObjectProvider<SourcePorts> ports;

    RecordSources(ObjectProvider<FollowedFiles> files, ObjectProvider<SourcePorts> ports) {
        this.files = files;
        this.ports = ports;
    }

    /** A path as it is set up now; one that is gone is taken for what it was. */
    public ArrivalPath path(String sourceId) {
        return Stream.concat(
                        files.getObject().all().stream().map(FollowedFile::source),
                        ports.getObject().all().stream().map(SourcePort::source))
                .filter(source -> source.hookupId().equals(sourceId))
                .findFirst()
                .map(IntakeSource::arrivalPath)
                .orElseGet(() -> ArrivalPath.plain(sourceId, sourceId, kind(sourceId)));
    }

    private static Source kind(String sourceId) {
        if (sourceId.startsWith("file-")) {
            return Source.FOLLOWED;
        }
        if (sourceId.contains("stream")) {
            return Source.STREAM;
        }
        if (sourceId.contains("datagrams")) {
            return Source.DATAGRAM;
        }
        if (sourceId.startsWith("link-")) {
            return Source.LINK;
        }
        return switch (sourceId) {
            case "typed" -> Source.OPERATOR;
            default -> Source.FILE;
        };
    }

    public AdifFields record(JournalEntry entry) {
        AdifRecord record = record(entry.rawText());
        return record.fields();
    }

    /** @return the first record of a text, maybe with a fault */
    public static AdifRecord record(String raw) {
        String text = raw.strip().startsWith(CABRILLO_LINE) ? CABRILLO_HEAD + raw.strip() + "\n" : raw;
        try {
            AdifRecord record = new LogText(
                            new ByteArrayInputStream(text.getBytes(StandardCharsets.UTF_8)),
                            Arrivals.MAX_RECORD_CHARACTERS * 4L)
                    .next();
            return record == null ? new AdifRecord(1, AdifFields.EMPTY, "There is no record in it.", false) : record;
        } catch (IOException e) {
            return new AdifRecord(1, AdifFields.EMPTY, String.valueOf(e.getMessage()), false);
        }
    }
}
