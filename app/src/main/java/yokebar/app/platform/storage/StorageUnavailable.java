package yokebar.app.platform.storage;

import org.springframework.http.HttpStatus;
import org.springframework.web.ErrorResponseException;

/** Nothing can be stored now: the disk is full, or the folder cannot be written. It may be tried again later. */
public final class StorageUnavailable extends ErrorResponseException {
    private static final long serialVersionUID = 1L;

    StorageUnavailable(String sentence) {
        super(HttpStatus.INSUFFICIENT_STORAGE);
        setTitle("Not stored");
        setDetail(sentence);
    }
}
