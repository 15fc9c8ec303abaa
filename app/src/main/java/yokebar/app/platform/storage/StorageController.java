package yokebar.app.platform.storage;

import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RestController;

/** Whether the log can be stored, over HTTP. */
@RestController
@RequestMapping("/api/storage")
class StorageController {
    private final Storage storage;

    StorageController(Storage storage) {
        this.storage = storage;
    }

    /** Whether contacts can be stored, and how much room is left. */
    @GetMapping
    Storage.StorageState state() {
        return storage.state();
    }
}
