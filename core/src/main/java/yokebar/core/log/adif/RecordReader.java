package yokebar.core.log.adif;

import java.io.IOException;
import org.jspecify.annotations.Nullable;

/** Gives the records of a text one by one. */
public interface RecordReader {
    /**
     * @return the next record, or null at the end of the text
     * @throws IOException only when the stream itself fails
     */
    @Nullable
    AdifRecord next() throws IOException;

    /** The text of the record just read. */
    String rawRecord();

    /** The line, counted from 1, on which the record just read starts. */
    long line();
}
