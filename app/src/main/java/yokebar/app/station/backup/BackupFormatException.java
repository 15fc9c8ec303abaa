package yokebar.app.station.backup;

import java.io.IOException;

/** A backup is not what it should be; the message completes "… is not a whole backup: ". */
final class BackupFormatException extends IOException {
    private static final long serialVersionUID = 1L;

    BackupFormatException(String message) {
        super(message);
    }
}
