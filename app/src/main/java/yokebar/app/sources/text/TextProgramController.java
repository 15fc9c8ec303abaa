package yokebar.app.sources.text;

import java.util.List;
import org.springframework.web.bind.annotation.DeleteMapping;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RestController;

/** Programs with decoders, and what they received, over HTTP. */
@RestController
@RequestMapping("/api")
class TextProgramController {
    private final TextPrograms programs;
    private final ReceivedText text;

    TextProgramController(TextPrograms programs, ReceivedText text) {
        this.programs = programs;
        this.text = text;
    }

    /** The programs that decode radioteletype. */
    @GetMapping("/text-programs")
    List<TextProgramView> programs() {
        return programs.views();
    }

    /** Adds a program and connects to it. */
    @PostMapping("/text-programs")
    List<TextProgramView> add(@RequestBody TextProgramDraft draft) {
        programs.save(null, draft);
        return programs.views();
    }

    /** Changes a program and connects anew. */
    @PutMapping("/text-programs/{id}")
    List<TextProgramView> change(@PathVariable long id, @RequestBody TextProgramDraft draft) {
        programs.save(id, draft);
        return programs.views();
    }

    /** Removes a program. */
    @DeleteMapping("/text-programs/{id}")
    List<TextProgramView> remove(@PathVariable long id) {
        programs.remove(id);
        return programs.views();
    }

    /** The latest of what the decoders received, and of what they agree on. */
    @GetMapping("/received-text")
    ReceivedTextView received() {
        return text.view();
    }
}
