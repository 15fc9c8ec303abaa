package yokebar.links.station.reference;

import java.net.URI;
import java.nio.charset.StandardCharsets;
import java.time.Duration;
import java.util.HashMap;
import java.util.Map;
import tools.jackson.databind.JsonNode;
import yokebar.core.basics.text.Sha256;
import yokebar.links.platform.status.ServiceUnreachable;
import yokebar.links.platform.web.WebService;

/** Asks the publisher of reference data which editions there are, and fetches one. */
public final class ReferencePublisher {
    private static final WebService.Limits LIMITS = new WebService.Limits(Duration.ofSeconds(30), 8 << 20);

    private final WebService web;

    public ReferencePublisher(URI address) {
        this.web = new WebService(
                "The publisher",
                address,
                LIMITS,
                "The present data stay in use. The next check is tomorrow, or now with Look now.");
    }

    /**
     * An edition on offer.
     *
     * @param edition its day, such as {@code 2026-11-20}
     * @param path below the publisher's address
     * @param sha256 of the file, in hexadecimal digits
     */
    public record Edition(String edition, String path, String sha256) {}

    /** The newest edition of each file, by the file's name, such as {@code entities}. */
    public Map<String, Edition> newest() throws ServiceUnreachable {
        JsonNode answer = web.json(accepted(web.send(web.request("editions").build())));
        Map<String, Edition> newest = new HashMap<>();
        for (JsonNode one : web.array(answer, "editions")) {
            newest.merge(
                    web.text(one, "file"),
                    new Edition(web.text(one, "edition"), web.text(one, "path"), web.text(one, "sha256")),
                    (other, edition) -> edition.edition().compareTo(other.edition()) > 0 ? edition : other);
        }
        return newest;
    }

    /** @throws ServiceUnreachable also when it did not arrive as it was published */
    public String fetch(Edition edition) throws ServiceUnreachable {
        byte[] content = accepted(web.send(web.request(edition.path()).build())).body();
        if (!Sha256.hex(content).equalsIgnoreCase(edition.sha256())) {
            throw web.nonsense("sent edition " + edition.edition() + " damaged: its checksum is another", null);
        }
        return new String(content, StandardCharsets.UTF_8);
    }

    private WebService.Answer accepted(WebService.Answer answer) throws ServiceUnreachable {
        if (answer.status() >= 300) {
            throw web.nonsense("says: " + WebService.words(answer), null);
        }
        return answer;
    }
}
