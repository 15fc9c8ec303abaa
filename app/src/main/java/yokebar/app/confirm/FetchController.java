package yokebar.app.confirm;

import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RestController;

/** Fetching by hand. */
@RestController
class FetchController {
    private final ConfirmationFetcher fetcher;

    FetchController(ConfirmationFetcher fetcher) {
        this.fetcher = fetcher;
    }

    @PostMapping("/api/services/{id}/fetches")
    ConfirmationFetcher.FetchResult fetch(@PathVariable int id) {
        return fetcher.fetch(id);
    }
}
