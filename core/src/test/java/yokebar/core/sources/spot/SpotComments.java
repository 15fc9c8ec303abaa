package yokebar.core.sources.spot;

import java.io.IOException;
import java.io.InputStream;
import java.nio.charset.StandardCharsets;
import java.util.Objects;
import java.util.stream.Stream;

/** The comments of {@code spot-comments.txt} with their meaning. */
public final class SpotComments {
    private SpotComments() {}

    /**
     * @param listensHz where the station listens; 0 when that is not said
     * @param mode the mode it names; empty when it names none
     */
    public record Comment(long hz, String text, long listensHz, String mode) {}

    public static Stream<Comment> all() throws IOException {
        try (InputStream in = SpotComments.class.getResourceAsStream("spot-comments.txt")) {
            String text = new String(Objects.requireNonNull(in).readAllBytes(), StandardCharsets.UTF_8);
            return text.lines()
                    .filter(line -> !line.isEmpty() && !line.startsWith("#"))
                    .map(line -> line.split(" \\| ", -1))
                    .map(parts -> new Comment(
                            hz(parts[0]),
                            parts[1],
                            parts[2].equals("-") ? 0 : hz(parts[2]),
                            parts[3].equals("-") ? "" : parts[3]));
        }
    }

    private static long hz(String kilohertz) {
        return Math.round(Double.parseDouble(kilohertz) * 1_000);
    }
}
