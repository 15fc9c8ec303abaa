package yokebar.app.sources.intake;

import org.jspecify.annotations.Nullable;
import yokebar.app.sources.intake.source.SourceOptions;
import yokebar.core.log.contact.Source;

/**
 * The way by which records arrive.
 *
 * @param sourceId the hookup or path, such as {@code adif-datagrams} or {@code import}
 * @param name what the operator calls it
 * @param source how much what they say is trusted
 * @param changeId the change of the log they are part of, so that it can be taken back as a whole; null when each stands for
 *     itself
 */
public record ArrivalPath(String sourceId, String name, Source source, SourceOptions options, @Nullable Long changeId) {
    public static ArrivalPath plain(String sourceId, String name, Source source) {
        return new ArrivalPath(sourceId, name, source, SourceOptions.PLAIN, null);
    }
}
