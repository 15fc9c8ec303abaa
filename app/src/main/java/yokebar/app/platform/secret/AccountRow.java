package yokebar.app.platform.secret;

import jakarta.persistence.MappedSuperclass;
import java.net.URI;
import java.util.Optional;
import org.jspecify.annotations.Nullable;
import yokebar.app.platform.web.WebAddress;

/** A row of settings for something on the network that knows us by an account: address, account and password. */
@MappedSuperclass
public abstract class AccountRow extends RowWithSecret {
    /** Null while it is not set up. */
    public @Nullable String address;

    /** Null while it is not set up. */
    public @Nullable String account;

    /** What it takes to ask there. */
    public record Complete(URI address, String account, String password) {}

    /**
     * Changes what a form says; what is null stays. A password does not go to another host.
     *
     * @param newAddress empty for none
     * @param newAccount empty for none
     * @param typed password, see {@link StoredSecret#typed}
     */
    public void change(
            SecretBox secrets, @Nullable String newAddress, @Nullable String newAccount, @Nullable String typed) {
        String before = WebAddress.authority(address);
        if (newAddress != null) {
            address = newAddress.isBlank() ? null : WebAddress.checked("address", newAddress);
        }
        if (newAccount != null) {
            account = newAccount.isBlank() ? null : newAccount.strip();
        }
        secret(secret().changed(secrets, before, WebAddress.authority(address), typed));
    }

    /** Address, account and password; empty while one of them is missing. */
    public Optional<Complete> complete(SecretBox secrets) {
        String password = secret().text(secrets);
        return address == null || account == null || password == null
                ? Optional.empty()
                : Optional.of(new Complete(URI.create(address), account, password));
    }
}
