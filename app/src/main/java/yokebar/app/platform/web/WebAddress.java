package yokebar.app.platform.web;

import java.net.URI;
import org.jspecify.annotations.Nullable;
import yokebar.app.platform.rejection.Rejection;

/** The address of a service, as somebody typed it. */
public final class WebAddress {
    private WebAddress() {}

    /** Host and port of an address; null when there is none. */
    public static @Nullable String authority(@Nullable String address) {
        try {
            return address == null ? null : URI.create(address).getAuthority();
        } catch (IllegalArgumentException e) {
            return null;
        }
    }

    /**
     * @param field the field it was typed into
     * @throws Rejection when it is none
     */
    public static String checked(String field, String text) {
        try {
            URI uri = URI.create(text.strip());
            if (uri.getHost() != null && ("http".equals(uri.getScheme()) || "https".equals(uri.getScheme()))) {
                return uri.toString();
            }
        } catch (IllegalArgumentException e) {
            // said below
        }
        throw new Rejection(field, "\"" + text + "\" is not a web address; it looks like https://host/path.");
    }
}
