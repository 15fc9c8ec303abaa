package yokebar.links.station.callbook;

import java.net.URI;

/** Where and as whom to ask. */
public record CallbookAccount(URI address, String account, String password) {

    /** Never the password. */
    @Override
    public String toString() {
        return account + " at " + address;
    }
}
