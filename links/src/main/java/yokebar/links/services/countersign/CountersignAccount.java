package yokebar.links.services.countersign;

import java.net.URI;

/**
 * Where and as whom to talk to the service.
 *
 * @param address its base address, such as {@code https://countersign.example/}
 * @param account the account's name there
 * @param password the account's password: not the passphrase of the signing identity
 */
public record CountersignAccount(URI address, String account, String password) {

    /** Never the password. */
    @Override
    public String toString() {
        return account + " at " + address;
    }
}
