package yokebar.app.sources.clock;

import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.RestController;

/** The check of the clock over HTTP. */
@RestController
class ClockController {
    private final ClockCheck check;

    ClockController(ClockCheck check) {
        this.check = check;
    }

    /** How far this computer's clock is off. */
    @GetMapping("/api/clock")
    ClockView view() {
        return check.view();
    }
}
