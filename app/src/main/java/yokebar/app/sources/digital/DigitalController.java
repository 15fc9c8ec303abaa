package yokebar.app.sources.digital;

import java.util.List;
import org.jspecify.annotations.Nullable;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;
import yokebar.app.platform.storage.StoresNothing;

/** Programs on the digital link over HTTP. */
@RestController
@RequestMapping("/api/digital")
class DigitalController {
    private static final int MAX_DECODES = 500;

    private final DigitalLink link;
    private final DigitalPrograms programs;

    DigitalController(DigitalLink link, DigitalPrograms programs) {
        this.link = link;
        this.programs = programs;
    }

    /** @param decode the id of what is to be answered */
    record AnswerDraft(String decode) {}

    /** Whether it went to the program; what it makes of it shows in its next status. */
    record ProgramCommandSent(boolean sent) {}

    /**
     * What was heard.
     *
     * @param total decodes since the start
     * @param nonsense datagrams that were no message
     */
    record HeardLately(long total, long nonsense, List<DecodeRing.Heard> decodes) {}

    /** The digital-mode programs on the link. */
    @GetMapping("/programs")
    List<ProgramView> programs() {
        return programs.views();
    }

    /**
     * What the digital-mode programs read last.
     *
     * @param program one program's; all when left out
     */
    @GetMapping("/decodes")
    HeardLately decodes(
            @RequestParam(required = false) @Nullable String program, @RequestParam(defaultValue = "50") int limit) {
        return new HeardLately(
                link.decodesHeard(), link.nonsense(), link.latest(program, Math.max(1, Math.min(limit, MAX_DECODES))));
    }

    /** Has a program answer a station it read. The program transmits. */
    @StoresNothing
    @PostMapping("/programs/{id}/answer")
    ProgramCommandSent answer(@PathVariable String id, @RequestBody AnswerDraft what) {
        link.answer(id, what.decode());
        return new ProgramCommandSent(true);
    }

    /** Has a program stop transmitting. */
    @StoresNothing
    @PostMapping("/programs/{id}/stop")
    ProgramCommandSent stop(@PathVariable String id) {
        link.stopTransmitting(id);
        return new ProgramCommandSent(true);
    }
}
