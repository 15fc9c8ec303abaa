package yokebar.app.sources.hookup;

import java.util.List;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RestController;
import yokebar.app.platform.rejection.Rejection;
import yokebar.app.platform.storage.StoresNothing;

/** The couplings over HTTP. */
@RestController
@RequestMapping("/api/hookups")
class HookupController {
    private final Hookups hookups;

    HookupController(Hookups hookups) {
        this.hookups = hookups;
    }

    /** Every hookup with its state. */
    @GetMapping
    List<HookupView> all() {
        return hookups.all().stream().map(HookupView::of).toList();
    }

    /** Tests a hookup and says what that proved. */
    @StoresNothing
    @PostMapping("/{id}/test")
    Hookup.Proof test(@PathVariable String id) {
        return find(id).test();
    }

    /** Connects a hookup. */
    @StoresNothing
    @PostMapping("/{id}/connect")
    HookupView connect(@PathVariable String id) {
        hookups.want(find(id), true);
        return HookupView.of(find(id));
    }

    /** Disconnects a hookup until it is connected again. */
    @StoresNothing
    @PostMapping("/{id}/disconnect")
    HookupView disconnect(@PathVariable String id) {
        hookups.want(find(id), false);
        return HookupView.of(find(id));
    }

    private Hookup find(String id) {
        return hookups.find(id).orElseThrow(() -> Rejection.notThere("There is no hookup " + id + "."));
    }
}
