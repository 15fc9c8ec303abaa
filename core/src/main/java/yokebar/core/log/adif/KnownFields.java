package yokebar.core.log.adif;

import java.io.IOException;
import java.io.InputStream;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.util.Arrays;
import java.util.Objects;
import java.util.Set;
import java.util.stream.Collectors;

/** The names of fields that ADIF defines for a contact record. */
public final class KnownFields {
    private static final Set<String> NAMES = load();

    private KnownFields() {}

    /**
     * Whether ADIF defines this field, or it is an application's own ({@code APP_…}).
     *
     * @param name in upper case
     */
    public static boolean contains(String name) {
        return NAMES.contains(name) || name.startsWith("APP_");
    }

    private static Set<String> load() {
        try (InputStream in = KnownFields.class.getResourceAsStream("field-names.txt")) {
            String text = new String(Objects.requireNonNull(in).readAllBytes(), StandardCharsets.UTF_8);
            return text.lines()
                    .filter(line -> !line.startsWith("#"))
                    .flatMap(line -> Arrays.stream(line.split(" ")))
                    .collect(Collectors.toUnmodifiableSet());
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }
}
