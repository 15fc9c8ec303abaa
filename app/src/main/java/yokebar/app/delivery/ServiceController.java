package yokebar.app.delivery;

import java.io.IOException;
import java.util.List;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;
import org.springframework.web.multipart.MultipartFile;
import yokebar.app.OnConflict;
import yokebar.app.log.LogLine;
import yokebar.core.delivery.DeliveryState;

/** The services over HTTP. */
@RestController
@RequestMapping("/api/services")
class ServiceController {
    private final Lanes lanes;
    private final Services services;
    private final Identities identities;
    private final Deliveries deliveries;
    private final HandoverWorker worker;

    ServiceController(
            Lanes lanes, Services services, Identities identities, Deliveries deliveries, HandoverWorker worker) {
        this.lanes = lanes;
        this.services = services;
        this.identities = identities;
        this.deliveries = deliveries;
        this.worker = worker;
    }

    /** Whether a contact is meant for a service. */
    record Meant(boolean meant) {}

    @GetMapping
    List<LaneView> all() {
        return lanes.all();
    }

    @GetMapping("/{id}/contacts")
    List<LogLine> contacts(@PathVariable int id, @RequestParam DeliveryState state) {
        return lanes.contacts(id, state);
    }

    @PutMapping("/{id}")
    LaneView change(@PathVariable int id, @RequestBody Services.Draft draft) {
        services.change(id, draft);
        worker.settingsChanged(id);
        return lanes.lane(id);
    }

    /** Hands over everything that is due, as soon as the service can be reached. */
    @PostMapping("/{id}/handovers")
    LaneView handOver(@PathVariable int id) {
        worker.handOverNow(id);
        return lanes.lane(id);
    }

    /** Installs a signing identity from its PKCS#12 file. */
    @PostMapping("/{id}/identities")
    LaneView install(
            @PathVariable int id,
            @RequestParam("file") MultipartFile file,
            @RequestParam("passphrase") String passphrase)
            throws IOException {
        identities.install(id, file.getBytes(), passphrase);
        worker.reviewHeld(id);
        return lanes.lane(id);
    }

    @PutMapping("/{id}/contacts/{contactId}")
    LaneView setMeant(@PathVariable int id, @PathVariable long contactId, @RequestBody Meant meant) {
        OnConflict.tryAgain(() -> {
            deliveries.setMeant(contactId, id, meant.meant());
            return contactId;
        });
        return lanes.lane(id);
    }
}
