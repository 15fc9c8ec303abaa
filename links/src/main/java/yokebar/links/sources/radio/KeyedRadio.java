package yokebar.links.sources.radio;

import java.util.Arrays;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;

/**
 * A radio that transmits through Yokebar, as {@link KeyRescue} is told of it: a line of text with tabs between its parts.
 *
 * @param id tells it from the others
 * @param name what the operator calls it
 */
public record KeyedRadio(String id, String name, RadioEndpoint endpoint) {
    private static final int PARTS = 7;

    /** The line for a radio that transmits. */
    String line() {
        return Stream.of(
                        id,
                        name,
                        endpoint.dialect(),
                        endpoint.options().bus(),
                        endpoint.options().fullPowerW(),
                        endpoint.baud() == null ? 0 : endpoint.baud(),
                        endpoint.address())
                .map(part -> String.valueOf(part).replaceAll("\\p{Cntrl}", " "))
                .collect(Collectors.joining("\t"));
    }

    /**
     * @return null for a line that says of a radio only its id, so that it receives
     * @throws IllegalArgumentException when it is no such line
     */
    static @Nullable KeyedRadio read(String line) {
        String[] parts = line.split("\t", -1);
        if (parts.length == 1) {
            return null;
        }
        if (parts.length != PARTS) {
            throw new IllegalArgumentException("no keyed radio: " + Arrays.toString(parts));
        }
        int baud = Integer.parseInt(parts[5]);
        return new KeyedRadio(
                parts[0],
                parts[1],
                new RadioEndpoint(
                        parts[2],
                        new RadioDialects.Options(Integer.parseInt(parts[3]), Integer.parseInt(parts[4])),
                        parts[6],
                        baud == 0 ? null : baud));
    }
}
