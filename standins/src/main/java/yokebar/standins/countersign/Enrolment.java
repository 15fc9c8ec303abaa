package yokebar.standins.countersign;

import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.StandardOpenOption;
import java.security.GeneralSecurityException;
import java.security.PublicKey;
import java.security.SecureRandom;
import java.security.cert.X509Certificate;
import java.time.Instant;
import java.time.temporal.ChronoUnit;
import java.util.ArrayList;
import java.util.Base64;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import org.bouncycastle.operator.OperatorCreationException;
import org.bouncycastle.operator.jcajce.JcaContentVerifierProviderBuilder;
import org.bouncycastle.pkcs.PKCS10CertificationRequest;
import org.bouncycastle.pkcs.PKCSException;
import org.bouncycastle.pkcs.jcajce.JcaPKCS10CertificationRequest;
import org.jspecify.annotations.Nullable;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;
import yokebar.standins.http.HttpService.Answer;
import yokebar.standins.http.HttpService.Request;

/**
 * How one comes to a certificate: ask for it, wait for the letter with the code, give the code. The letters lie with Backstage,
 * which is the postman.
 */
public final class Enrolment {
    private static final JsonMapper JSON = JsonMapper.builder().build();
    private static final SecureRandom RANDOM = new SecureRandom();
    private static final int TRIES = 3;
    private static final long CERTIFICATE_DAYS = 3 * 365;

    private final Authority authority;
    private final Path file;
    private final Map<String, Asked> requests = new LinkedHashMap<>();
    private @Nullable Instant certificatesEnd;

    /** A letter under way. */
    public record Letter(String number, String call, String address, String code) {}

    private record Asked(
            String number,
            String call,
            String request,
            Instant contactsFrom,
            Instant contactsUntil,
            String address,
            String code,
            int triesLeft) {}

    Enrolment(Authority authority, Path folder) throws IOException {
        this.authority = authority;
        this.file = folder.resolve("requests.jsonl");
        if (Files.exists(file)) {
            for (String line : Files.readAllLines(file)) {
                Asked asked = JSON.readValue(line, Asked.class);
                requests.put(asked.number(), asked);
            }
        }
    }

    public synchronized List<Letter> letters() {
        List<Letter> letters = new ArrayList<>();
        requests.values()
                .forEach(asked -> letters.add(new Letter(asked.number(), asked.call(), asked.address(), asked.code())));
        return letters;
    }

    /** From now on certificates end then, so that it can be seen what happens; null for the usual three years. */
    public synchronized void setCertificatesEnd(@Nullable Instant end) {
        certificatesEnd = end;
    }

    synchronized Answer requests(Request request) throws GeneralSecurityException, IOException {
        if (request.path().endsWith("/code")) {
            return code(request.path().split("/")[1], JSON.readTree(request.body()));
        }
        JsonNode body = JSON.readTree(request.body());
        JcaPKCS10CertificationRequest asked = opened(body.path("request").asString(""));
        String call = asked.getSubject().toString().replaceFirst("^CN=", "");
        if (body.path("address").asString("").isBlank()) {
            return Answer.json(422, Map.of("words", "a postal address for the letter is needed"));
        }
        Asked one = new Asked(
                "RQ-%04d".formatted(requests.size() + 1),
                call,
                body.path("request").asString(),
                Instant.parse(body.path("contactsFrom").asString()),
                Instant.parse(body.path("contactsUntil").asString()),
                body.path("address").asString(),
                "%04d-%04d".formatted(RANDOM.nextInt(10_000), RANDOM.nextInt(10_000)),
                TRIES);
        save(one);
        return Answer.json(
                202,
                Map.of(
                        "number",
                        one.number(),
                        "words",
                        "A letter with a code for " + call + " goes to the address given"));
    }

    private Answer code(String number, JsonNode body) throws GeneralSecurityException, IOException {
        Asked asked = requests.get(number);
        if (asked == null) {
            return Answer.json(404, Map.of("words", "no request has this number"));
        }
        if (asked.triesLeft() == 0) {
            return Answer.json(422, Map.of("words", "the code was wrong too often; make a new request"));
        }
        if (!asked.code().equals(body.path("code").asString("").strip())) {
            save(new Asked(
                    number,
                    asked.call(),
                    asked.request(),
                    asked.contactsFrom(),
                    asked.contactsUntil(),
                    asked.address(),
                    asked.code(),
                    asked.triesLeft() - 1));
            return Answer.json(
                    422,
                    Map.of("words", "this is not the code of the letter; " + (asked.triesLeft() - 1) + " tries left"));
        }
        X509Certificate certificate = authority.certify(
                asked.call(),
                opened(asked.request()).getPublicKey(),
                asked.contactsFrom(),
                asked.contactsUntil(),
                certificateEnd());
        return Answer.json(200, Map.of("certificate", Authority.pem(certificate), "authority", authority.pem()));
    }

    synchronized Answer renewals(Request request) throws GeneralSecurityException, IOException {
        BatchCheck.Signed signed = BatchCheck.signed(request.body(), authority);
        PublicKey key = publicKey(new PKCS10CertificationRequest(signed.content()), signed.signedFor());
        X509Certificate certificate =
                authority.certify(signed.signedFor(), key, signed.from(), signed.until(), certificateEnd());
        return Answer.json(200, Map.of("certificate", Authority.pem(certificate)));
    }

    private Instant certificateEnd() {
        return certificatesEnd == null ? Instant.now().plus(CERTIFICATE_DAYS, ChronoUnit.DAYS) : certificatesEnd;
    }

    private static JcaPKCS10CertificationRequest opened(String pem) throws IOException, GeneralSecurityException {
        String body = pem.replaceAll("-----[^-]*-----", "").replaceAll("\\s", "");
        JcaPKCS10CertificationRequest request =
                new JcaPKCS10CertificationRequest(Base64.getDecoder().decode(body.getBytes(StandardCharsets.US_ASCII)));
        publicKey(request, request.getSubject().toString().replaceFirst("^CN=", ""));
        return request;
    }

    private static PublicKey publicKey(PKCS10CertificationRequest request, String call)
            throws GeneralSecurityException, IOException {
        JcaPKCS10CertificationRequest asked = new JcaPKCS10CertificationRequest(request);
        try {
            if (!asked.isSignatureValid(new JcaContentVerifierProviderBuilder().build(asked.getPublicKey()))) {
                throw new IllegalArgumentException("the request is not signed with its own key");
            }
        } catch (OperatorCreationException | PKCSException e) {
            throw new IllegalArgumentException("this is not a request for a certificate", e);
        }
        if (!asked.getSubject().toString().equals("CN=" + call)) {
            throw new IllegalArgumentException("the request is for another call than " + call);
        }
        return asked.getPublicKey();
    }

    private void save(Asked asked) throws IOException {
        requests.put(asked.number(), asked);
        Files.writeString(
                file, JSON.writeValueAsString(asked) + "\n", StandardOpenOption.CREATE, StandardOpenOption.APPEND);
    }
}
