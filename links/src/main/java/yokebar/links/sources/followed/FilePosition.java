package yokebar.links.sources.followed;

/**
 * How far a file has been read, and what it looked like up to there.
 *
 * @param offset bytes read, up to the end of the last whole record
 * @param checkedFrom first byte that the checksum covers
 * @param checksum CRC-32C of the bytes from there to the offset
 */
public record FilePosition(long offset, long checkedFrom, long checksum) {
    public static final FilePosition START = new FilePosition(0, 0, 0);

    public FilePosition {
        if (checkedFrom < 0 || checkedFrom > offset) {
            throw new IllegalArgumentException("checked from " + checkedFrom + " to " + offset);
        }
    }
}
