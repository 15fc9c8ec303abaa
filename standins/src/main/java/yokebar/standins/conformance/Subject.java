package yokebar.standins.conformance;

import java.net.URI;
import java.nio.file.Path;
import org.jspecify.annotations.Nullable;

/**
 * Who is tried, and as whom.
 *
 * @param address base address of a service ({@code http://…}), or {@code tcp://host:port}, {@code udp://host:port}
 * @param account name and password with a colon between, an API key, a call, or nothing, as the protocol wants it
 * @param identity PKCS#12 file with a certificate of the service; null when none is at hand
 * @param passphrase of that file
 */
public record Subject(URI address, String account, @Nullable Path identity, String passphrase) {

    public Subject(URI address, String account) {
        this(address, account, null, "");
    }

    /** Never the password or the passphrase. */
    @Override
    public String toString() {
        return address.toString();
    }
}
