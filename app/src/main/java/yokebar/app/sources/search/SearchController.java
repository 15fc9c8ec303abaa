package yokebar.app.sources.search;

import java.util.List;
import org.jspecify.annotations.Nullable;
import org.springframework.web.bind.annotation.DeleteMapping;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RestController;
import yokebar.app.platform.storage.StoresNothing;

/** The search for devices over HTTP; there is one at a time. */
@RestController
@RequestMapping("/api/device-search")
class SearchController {
    private final DeviceSearches searches;

    SearchController(DeviceSearches searches) {
        this.searches = searches;
    }

    /** Which ports to search; none for all. */
    record SearchAddresses(@Nullable List<String> addresses) {}

    /** What the search for devices has found so far. */
    @GetMapping
    SearchView view() {
        return searches.view();
    }

    /** Begins to search for devices on this computer's ports. */
    @StoresNothing
    @PostMapping
    SearchView start(@RequestBody SearchAddresses where) {
        searches.start(where.addresses() == null ? List.of() : where.addresses());
        return searches.view();
    }

    /** Ends the search for devices. */
    @StoresNothing
    @DeleteMapping
    SearchView cancel() {
        searches.cancel();
        return searches.view();
    }
}
