package yokebar.app.platform.live;

import io.swagger.v3.oas.annotations.Hidden;
import jakarta.servlet.http.HttpServletRequest;
import org.jspecify.annotations.Nullable;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.RequestHeader;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;
import org.springframework.web.servlet.mvc.method.annotation.SseEmitter;

/** The event stream over HTTP, as server-sent events. */
@RestController
@Hidden
class LiveController {
    private final LiveStream stream;

    LiveController(LiveStream stream) {
        this.stream = stream;
    }

    /** @param last the id of the last event seen, for pages that reconnect by themselves */
    @GetMapping("/api/live")
    SseEmitter live(
            @RequestHeader(name = "Last-Event-ID", required = false) @Nullable String lastSeen,
            @RequestParam(required = false) @Nullable String last,
            HttpServletRequest request) {
        return stream.open(lastSeen == null ? last : lastSeen, request.getRemoteAddr());
    }
}
