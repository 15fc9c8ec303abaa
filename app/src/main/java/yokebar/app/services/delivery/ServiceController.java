package yokebar.app.services.delivery;

import java.io.IOException;
import java.time.Instant;
import java.time.LocalDate;
import java.time.ZoneOffset;
import java.time.format.DateTimeParseException;
import java.util.List;
import org.jspecify.annotations.Nullable;
import org.springframework.http.HttpHeaders;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.web.bind.annotation.DeleteMapping;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;
import org.springframework.web.multipart.MultipartFile;
import yokebar.app.log.store.LogLine;
import yokebar.app.platform.rejection.Rejection;
import yokebar.app.platform.storage.OnConflict;
import yokebar.app.platform.storage.StoresNothing;
import yokebar.app.services.delivery.handover.HandoverDesk;
import yokebar.app.services.delivery.handover.HandoverWorker;
import yokebar.app.services.delivery.identity.Enrolment;
import yokebar.app.services.delivery.identity.Identities;
import yokebar.app.services.delivery.ledger.Deliveries;
import yokebar.app.services.delivery.ledger.RuleReview;
import yokebar.app.sources.hookup.Hookup;
import yokebar.core.services.delivery.DeliveryState;

/** The services over HTTP. */
@RestController
@RequestMapping("/api/services")
class ServiceController {
    private final Lanes lanes;
    private final Services services;
    private final ServiceAccounts accounts;
    private final Identities identities;
    private final Enrolment enrolment;
    private final Deliveries deliveries;
    private final RuleReview ruleReview;
    private final HandoverDesk desk;
    private final HandoverWorker worker;
    private final ServiceLines lines;

    ServiceController(
            Lanes lanes,
            Services services,
            ServiceAccounts accounts,
            Identities identities,
            Enrolment enrolment,
            Deliveries deliveries,
            RuleReview ruleReview,
            HandoverDesk desk,
            HandoverWorker worker,
            ServiceLines lines) {
        this.lanes = lanes;
        this.services = services;
        this.accounts = accounts;
        this.identities = identities;
        this.enrolment = enrolment;
        this.deliveries = deliveries;
        this.ruleReview = ruleReview;
        this.desk = desk;
        this.worker = worker;
        this.lines = lines;
    }

    /** Whether contacts are meant for a service. */
    record ContactsMeant(boolean meant, @Nullable List<Long> contactIds) {}

    /** @param placeId null for no place */
    record IdentityPlace(@Nullable Long placeId) {}

    /** Whether all handing over is paused. */
    record Pause(boolean paused) {}

    /** The code of the letter. */
    record LetterCode(String code) {}

    /** The passphrase of a file. */
    record FilePassphrase(String passphrase) {}

    /**
     * What is to go now; nothing chosen means all that is due.
     *
     * @param contactIds these
     * @param fromDay those that start on this day or later, UTC
     * @param untilDay those that start on this day or earlier, UTC
     * @param maxContacts how many at the most
     */
    record HandoverDraft(
            @Nullable List<Long> contactIds,
            @Nullable String fromDay,
            @Nullable String untilDay,
            @Nullable Integer maxContacts) {}

    /** The services as the Services view shows them. */
    @GetMapping
    List<LaneView> all() {
        return lanes.all();
    }

    /** The kinds of services that another account can be added at. */
    @GetMapping("/kinds")
    List<String> kinds() {
        return accounts.kinds();
    }

    /**
     * An account to be added.
     *
     * @param kind the kind of service
     * @param name what it is to be called; no two have the same
     */
    record AccountDraft(String kind, String name) {}

    /** Adds another account at a kind of service; it is not in use yet. */
    @PostMapping
    LaneView add(@RequestBody AccountDraft draft) {
        return lanes.lane(OnConflict.tryAgain(() -> accounts.add(draft.kind(), draft.name())));
    }

    /** Removes an account through which nothing ever went. */
    @DeleteMapping("/{id}")
    List<LaneView> remove(@PathVariable int id) {
        OnConflict.tryAgain(() -> {
            accounts.remove(id);
            return id;
        });
        return lanes.all();
    }

    /** Contacts that stand in a state at a service, the newest first. */
    @GetMapping("/{id}/contacts")
    List<LogLine> contacts(@PathVariable int id, @RequestParam DeliveryState state) {
        return lanes.contacts(id, state);
    }

    /** Changes the settings of a service. */
    @PutMapping("/{id}")
    LaneView change(@PathVariable int id, @RequestBody Services.ServiceDraft draft) {
        boolean rulesChanged = OnConflict.tryAgain(() -> services.change(id, draft));
        if (rulesChanged) {
            worker.review(id);
        }
        worker.settingsChanged(id);
        return lanes.lane(id);
    }

    /** Stops all handing over, or lets it go on. */
    @PutMapping("/pause")
    List<LaneView> pause(@RequestBody Pause pause) {
        services.pause(pause.paused());
        services.active().forEach(worker::settingsChanged);
        return lanes.all();
    }

    /** Tries the settings. */
    @StoresNothing
    @PostMapping("/{id}/test")
    Hookup.Proof test(@PathVariable int id) {
        return lines.coupled(id)
                .orElseThrow(() -> new Rejection("service", "The service is not in use."))
                .test();
    }

    /** What a handover would do, without doing it. */
    @GetMapping("/{id}/outlook")
    Lanes.Outlook outlook(@PathVariable int id) {
        return lanes.outlook(id);
    }

    /** The ids of contacts held for a reason. */
    @GetMapping("/{id}/held")
    List<Long> held(@PathVariable int id, @RequestParam String key) {
        return lanes.held(id, key);
    }

    /** Hands over what is due, or what of it was chosen, as soon as the service can be reached. */
    @PostMapping("/{id}/handovers")
    LaneView handOver(@PathVariable int id, @RequestBody(required = false) @Nullable HandoverDraft draft) {
        if (!services.complete(id)) {
            throw new Rejection("service", services.name(id) + " is not set up yet.");
        }
        if (services.setup(id).paused()) {
            throw new Rejection("service", "Handing over is paused, so nothing was sent. Resume it first.");
        }
        if (draft != null && draft.contactIds() != null) {
            worker.handOver(id, draft.contactIds());
        } else if (draft != null && (draft.fromDay() != null || draft.untilDay() != null)) {
            Instant from = day("fromDay", draft.fromDay(), LocalDate.of(1900, 1, 1))
                    .atStartOfDay()
                    .toInstant(ZoneOffset.UTC);
            Instant until = day("untilDay", draft.untilDay(), LocalDate.of(9999, 1, 1))
                    .plusDays(1)
                    .atStartOfDay()
                    .toInstant(ZoneOffset.UTC)
                    .minusMillis(1);
            worker.handOver(id, lanes.due(id, from, until));
        } else {
            worker.handOverNow(
                    id,
                    draft == null || draft.maxContacts() == null
                            ? Integer.MAX_VALUE
                            : Math.max(1, draft.maxContacts()));
        }
        return lanes.lane(id);
    }

    /** Lets what the service refused go there again; how many contacts that are. */
    @PostMapping("/{id}/refused/again")
    int refusedAgain(@PathVariable int id) {
        return OnConflict.tryAgain(() -> ruleReview.tryRefusedAgain(id));
    }

    /** What was asked to go and is not on its way yet stays due. */
    @DeleteMapping("/{id}/handovers")
    LaneView stopHandingOver(@PathVariable int id) {
        worker.stopHandingOver(id);
        return lanes.lane(id);
    }

    private static LocalDate day(String field, @Nullable String text, LocalDate otherwise) {
        try {
            return text == null || text.isBlank() ? otherwise : LocalDate.parse(text.strip());
        } catch (DateTimeParseException e) {
            throw new Rejection(field, "\"" + text.strip() + "\" is not a date; write it as 2026-05-01.");
        }
    }

    /** Installs a signing identity from its PKCS#12 file. */
    @PostMapping("/{id}/identities")
    LaneView install(
            @PathVariable int id,
            @RequestParam("file") MultipartFile file,
            @RequestParam("passphrase") String passphrase)
            throws IOException {
        byte[] content = file.getBytes();
        OnConflict.tryAgain(() -> identities.install(id, content, passphrase));
        return identitiesChanged(id);
    }

    /** Removes a signing identity, with its key. */
    @DeleteMapping("/{id}/identities/{identityId}")
    LaneView removeIdentity(@PathVariable int id, @PathVariable long identityId) {
        identities.remove(identityId);
        return identitiesChanged(id);
    }

    /** Says where contacts signed with an identity were made when they do not say so themselves. */
    @PutMapping("/{id}/identities/{identityId}/place")
    LaneView setPlace(@PathVariable int id, @PathVariable long identityId, @RequestBody IdentityPlace place) {
        OnConflict.tryAgain(() -> {
            identities.setPlace(identityId, place.placeId());
            return id;
        });
        return lanes.lane(id);
    }

    /** Tries whether an identity signs. */
    @StoresNothing
    @PostMapping("/{id}/identities/{identityId}/test")
    Hookup.Proof testIdentity(@PathVariable int id, @PathVariable long identityId) {
        return enrolment.test(identityId);
    }

    /** Asks for a new certificate with the present one. */
    @PostMapping("/{id}/identities/{identityId}/renew")
    LaneView renew(@PathVariable int id, @PathVariable long identityId) {
        enrolment.renew(id, identityId);
        return identitiesChanged(id);
    }

    /** The identity as a PKCS#12 file under the passphrase given. */
    @PostMapping("/{id}/identities/{identityId}/file")
    ResponseEntity<byte[]> export(
            @PathVariable int id, @PathVariable long identityId, @RequestBody FilePassphrase draft) {
        return ResponseEntity.ok()
                .contentType(MediaType.parseMediaType("application/x-pkcs12"))
                .header(HttpHeaders.CONTENT_DISPOSITION, "attachment; filename=\"identity.p12\"")
                .body(enrolment.export(identityId, draft.passphrase()));
    }

    /** Asks for a certificate; a letter with a code will come. */
    @PostMapping("/{id}/requests")
    LaneView ask(@PathVariable int id, @RequestBody Enrolment.CertificateDraft draft) {
        enrolment.ask(id, draft);
        return lanes.lane(id);
    }

    /** The letter is there: its code brings the certificate. */
    @PostMapping("/{id}/requests/{requestId}/code")
    LaneView collect(@PathVariable int id, @PathVariable long requestId, @RequestBody LetterCode letter) {
        enrolment.collect(id, requestId, letter.code());
        return identitiesChanged(id);
    }

    /** Gives up a request for a certificate. */
    @DeleteMapping("/{id}/requests/{requestId}")
    LaneView cancelRequest(@PathVariable int id, @PathVariable long requestId) {
        enrolment.giveUp(requestId);
        return lanes.lane(id);
    }

    private LaneView identitiesChanged(int id) {
        OnConflict.tryAgain(() -> {
            desk.identitiesChanged(id);
            return id;
        });
        worker.review(id);
        worker.settingsChanged(id);
        return lanes.lane(id);
    }

    /** Takes many contacts out of a service's deliveries, or back in. */
    @PutMapping("/{id}/contacts")
    LaneView setMeant(@PathVariable int id, @RequestBody ContactsMeant meant) {
        return setMeant(id, meant.contactIds() == null ? List.of() : meant.contactIds(), meant.meant());
    }

    private LaneView setMeant(int id, List<Long> contactIds, boolean meant) {
        OnConflict.tryAgain(() -> {
            deliveries.setMeant(contactIds, id, meant);
            return contactIds;
        });
        return lanes.lane(id);
    }
}
