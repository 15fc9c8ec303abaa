package yokebar.app.sources.intake.tryout;

import java.io.IOException;
import java.io.InputStream;
import java.net.URI;
import java.nio.file.Files;
import java.nio.file.Path;
import org.jspecify.annotations.Nullable;
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
import yokebar.app.platform.rejection.Rejection;
import yokebar.app.platform.web.WebAddress;
import yokebar.app.sources.intake.file.FollowedFiles;
import yokebar.links.platform.web.LocalDownload;

/** Looking at a log before it is imported, and importing it, over HTTP. */
@RestController
@RequestMapping("/api/tryouts")
class TryoutController {
    private static final long MAX_FETCHED_BYTES = 512L << 20;

    private final Tryouts tryouts;

    TryoutController(Tryouts tryouts) {
        this.tryouts = tryouts;
    }

    /** A log that is looked at. */
    record TryoutView(String id, String name, Tryout.TryoutPicture picture) {
        static TryoutView of(Tryout tryout) {
            return new TryoutView(tryout.id(), tryout.name(), tryout.picture());
        }
    }

    /** A file of this computer. */
    record OnThisComputer(String path) {}

    /**
     * A file of a device on the local network.
     *
     * @param confirmed the host's address, as it was shown to the operator and confirmed; null to ask for it
     */
    record OnADevice(String address, @Nullable String confirmed) {}

    /**
     * What came of asking for a device's file.
     *
     * @param host where it would be fetched from; to be confirmed
     * @param tryout null until it is confirmed
     */
    record Fetched(String host, @Nullable TryoutView tryout) {}

    /** Looks at a log that is sent along. */
    @PostMapping
    TryoutView upload(@RequestParam("file") MultipartFile file) throws IOException {
        String name = file.getOriginalFilename();
        try (InputStream content = file.getInputStream()) {
            return TryoutView.of(tryouts.look(name == null || name.isBlank() ? "upload" : name, content));
        }
    }

    /** Looks at a log on this computer. */
    @PostMapping("/path")
    TryoutView lookAtPath(@RequestBody OnThisComputer file) {
        return TryoutView.of(tryouts.look(FollowedFiles.path(file.path())));
    }

    /** Looks at a log on a device in the house. */
    @PostMapping("/address")
    Fetched lookAtAddress(@RequestBody OnADevice device) throws IOException {
        URI address = URI.create(WebAddress.checked("address", device.address()));
        Path file = Files.createTempFile("yokebar-fetched", ".log");
        try {
            String host = LocalDownload.host(address);
            if (!host.equals(device.confirmed())) {
                return new Fetched(host, null);
            }
            LocalDownload.fetch(address, file, MAX_FETCHED_BYTES);
            try (InputStream content = Files.newInputStream(file)) {
                return new Fetched(host, TryoutView.of(tryouts.look(address.toString(), content)));
            }
        } catch (LocalDownload.Failed e) {
            throw new Rejection("address", String.valueOf(e.getMessage()));
        } finally {
            Files.deleteIfExists(file);
        }
    }

    /** A log that is looked at, with what was found in it. */
    @GetMapping("/{id}")
    TryoutView one(@PathVariable String id) {
        return TryoutView.of(tryouts.find(id));
    }

    /** Looks again at a log with other choices. */
    @PutMapping("/{id}/options")
    TryoutView choose(@PathVariable String id, @RequestBody TryoutOptions.TryoutDraft options) {
        tryouts.lookAgain(id, options.read());
        return one(id);
    }

    /** Imports a log that was looked at. */
    @PostMapping("/{id}/import")
    TryoutView importLog(@PathVariable String id) {
        tryouts.take(id);
        return one(id);
    }

    /** Ends what is under way with it, or forgets it. */
    @DeleteMapping("/{id}")
    void cancel(@PathVariable String id) {
        tryouts.cancel(id);
    }
}
