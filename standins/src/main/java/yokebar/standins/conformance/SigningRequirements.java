package yokebar.standins.conformance;

import java.nio.charset.StandardCharsets;
import java.time.Duration;
import java.time.Instant;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import tools.jackson.databind.JsonNode;

/** {@code docs/protocols/countersign.md}: what can be tried only with a certificate of the service. */
final class SigningRequirements {
    /** A service that works through its batches at night cannot be tried. */
    private static final Duration PROCESSED_WITHIN = Duration.ofMinutes(2);

    private static final Duration ASKED_EVERY = Duration.ofMillis(500);

    private final Peer peer;
    private final Identity identity;
    private final String key = "conformance-" + UUID.randomUUID();
    private String receipt = "";

    SigningRequirements(Peer peer, Identity identity) {
        this.peer = peer;
        this.identity = identity;
    }

    List<Requirement> all() {
        return List.of(
                new Requirement("POST api/batches answers a signed batch 202 with a receipt", () -> {
                    Peer.Answer answer = submit(identity.signed(batch()), key);
                    answer.is(202);
                    answer.words();
                    receipt = answer.json().path("receipt").asString("");
                    Requirement.require(!receipt.isEmpty(), "there is no receipt: " + answer.text());
                }),
                new Requirement("a batch with the same key gets the same receipt", () -> {
                    Peer.Answer again = submit(identity.signed(batch()), key);
                    again.is(202);
                    sameReceipt(again);
                }),
                new Requirement(
                        "GET api/batches?key=… finds the batch by its key",
                        () -> sameReceipt(peer.get("api/batches?key=" + key))),
                new Requirement(
                        "GET api/batches/{receipt} gives, once processed, a result for each record in their order",
                        this::isProcessed),
                new Requirement(
                        "a signed batch that was altered on its way is refused with 400 or 422, in words", () -> {
                            byte[] altered = identity.signed(batch());
                            String text = new String(altered, StandardCharsets.ISO_8859_1);
                            int at = text.indexOf("ZP5QXA");
                            altered[at] = 'X';
                            Common.refuses(submit(altered, "conformance-" + UUID.randomUUID()));
                        }),
                new Requirement("POST api/requests takes a certificate request and gives it a number", this::request),
                new Requirement(
                        "POST api/renewals answers a request signed by the present identity with a certificate", () -> {
                            Peer.Answer renewed = renew(identity.call());
                            renewed.is(200);
                            Requirement.require(
                                    renewed.json()
                                            .path("certificate")
                                            .asString("")
                                            .contains("-----BEGIN CERTIFICATE-----"),
                                    "there is no certificate as PEM: " + renewed.text());
                        }),
                new Requirement(
                        "a renewal for another call than the identity's is refused with 400 or 422, in words",
                        () -> Common.refuses(renew("ZP5QXA"))));
    }

    /** The second contact lies before every certificate. */
    private byte[] batch() {
        String station = "<STATION_CALLSIGN:" + identity.call().length() + ">" + identity.call();
        String rest = " <CALL:6>ZP5QXA <BAND:3>20m <MODE:2>CW <TIME_ON:6>140731 ";
        return (station + rest + "<QSO_DATE:8>" + today() + " <EOR>\n" + station + rest
                        + "<QSO_DATE:8>19010501 <EOR>\n")
                .getBytes(StandardCharsets.UTF_8);
    }

    private static String today() {
        return Instant.now()
                .minus(Duration.ofDays(1))
                .toString()
                .substring(0, 10)
                .replace("-", "");
    }

    private Peer.Answer submit(byte[] batch, String idempotencyKey) throws Exception {
        return peer.send(
                "POST",
                "api/batches",
                Map.of("Idempotency-Key", idempotencyKey, "Content-Type", "application/pkcs7-mime"),
                batch);
    }

    private void isProcessed() throws Exception {
        Instant end = Instant.now().plus(PROCESSED_WITHIN);
        JsonNode report = peer.get("api/batches/" + receipt).json();
        while (report.path("state").asString("").equals("queued")
                && Instant.now().isBefore(end)) {
            Thread.sleep(ASKED_EVERY.toMillis());
            report = peer.get("api/batches/" + receipt).json();
        }
        Requirement.require(
                report.path("state").asString("").equals("processed"),
                "after " + PROCESSED_WITHIN.toSeconds() + " s the state is still " + report);
        JsonNode records = report.path("records");
        Requirement.require(
                records.size() == 2
                        && records.get(0).path("record").asInt() == 1
                        && records.get(1).path("record").asInt() == 2,
                "there are not two results, counted from 1: " + report);
        String first = records.get(0).path("result").asString("");
        Requirement.require(
                first.equals("accepted") || first.equals("duplicate"), "the first contact is a good one: " + report);
        Requirement.require(
                records.get(1).path("result").asString("").equals("refused")
                        && !records.get(1).path("words").asString("").isBlank(),
                "a contact before the certificate's days is refused, in words: " + report);
    }

    private void request() throws Exception {
        Peer.Answer answer = peer.send(
                "POST",
                "api/requests",
                Map.of("Content-Type", "application/json"),
                Peer.json(Map.of(
                        "request", Identity.pem(Identity.newRequest(identity.call())),
                        "contactsFrom", "2020-01-01T00:00:00Z",
                        "contactsUntil", "2030-01-01T00:00:00Z",
                        "address", "conformance, to be thrown away")));
        answer.is(202);
        answer.words();
        String number = answer.json().path("number").asString("");
        Requirement.require(!number.isEmpty(), "there is no number: " + answer.text());
        Peer.Answer wrong = peer.send(
                "POST",
                "api/requests/" + number + "/code",
                Map.of("Content-Type", "application/json"),
                Peer.json(Map.of("code", "no code")));
        Requirement.require(wrong.status() == 422, "a wrong code is answered " + wrong.status());
        wrong.words();
    }

    private Peer.Answer renew(String call) throws Exception {
        return peer.send(
                "POST",
                "api/renewals",
                Map.of("Content-Type", "application/pkcs7-mime"),
                identity.signed(Identity.newRequest(call).getEncoded()));
    }

    private void sameReceipt(Peer.Answer answer) throws Requirement.Unmet {
        Requirement.require(
                !receipt.isEmpty()
                        && receipt.equals(answer.json().path("receipt").asString("")),
                "the receipt is another one: " + answer.text());
    }
}
