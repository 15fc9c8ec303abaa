package yokebar.app.services.confirm;

import java.time.Duration;
import java.util.List;
import org.springframework.http.CacheControl;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;

/** What comes back from the services, over HTTP. */
@RestController
class FetchController {
    private final ConfirmationFetcher fetcher;
    private final NearMisses nearMisses;
    private final ElectronicCards cards;

    FetchController(ConfirmationFetcher fetcher, NearMisses nearMisses, ElectronicCards cards) {
        this.fetcher = fetcher;
        this.nearMisses = nearMisses;
        this.cards = cards;
    }

    /** Whether a confirmation is put aside. */
    record AsideDraft(boolean aside) {}

    /** @param read confirmations read by the fetch that is running; -1 when none is */
    record FetchState(int read) {}

    /** Fetches by hand. */
    @PostMapping("/api/services/{id}/fetches")
    ConfirmationFetcher.FetchResult fetch(@PathVariable int id) {
        return fetcher.fetch(id);
    }

    /** How fetching from a service goes. */
    @GetMapping("/api/services/{id}/fetches")
    FetchState progress(@PathVariable int id) {
        return new FetchState(fetcher.read(id).orElse(-1));
    }

    /** Confirmations that fit no contact, with the contacts they may be of. */
    @GetMapping("/api/services/{id}/near-misses")
    List<NearMisses.Unmatched> nearMisses(@PathVariable int id) {
        return nearMisses.of(id);
    }

    /** The confirmations that came last. */
    @GetMapping("/api/services/{id}/confirmations")
    List<ElectronicCards.Received> latest(
            @PathVariable int id, @RequestParam(defaultValue = "false") boolean picturesOnly) {
        return cards.latest(id, picturesOnly);
    }

    /** Puts a confirmation aside that belongs to no contact, or brings it back. */
    @PutMapping("/api/confirmations/{id}")
    AsideDraft setAside(@PathVariable long id, @RequestBody AsideDraft aside) {
        nearMisses.setAside(id, aside.aside());
        return aside;
    }

    /** The electronic card that came with a confirmation. */
    @GetMapping("/api/confirmations/{id}/picture")
    ResponseEntity<byte[]> picture(@PathVariable long id) {
        return ResponseEntity.ok()
                .contentType(MediaType.IMAGE_PNG)
                .cacheControl(CacheControl.maxAge(Duration.ofDays(365)).cachePrivate())
                .body(cards.picture(id));
    }
}
