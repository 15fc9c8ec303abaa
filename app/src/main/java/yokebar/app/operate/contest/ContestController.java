package yokebar.app.operate.contest;

import java.util.List;
import org.springframework.http.MediaType;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RestController;

/** The definitions of contests over HTTP. */
@RestController
@RequestMapping("/api/contest-definitions")
class ContestController {
    private final ContestDefinitions definitions;

    ContestController(ContestDefinitions definitions) {
        this.definitions = definitions;
    }

    /** All contests that can be taken part in, by their dates. */
    @GetMapping
    List<DefinitionView> definitions() {
        return definitions.views();
    }

    /** Checks a definition and stores it when nothing is wrong with it. */
    @PostMapping(consumes = MediaType.TEXT_PLAIN_VALUE)
    DefinitionProblems saveDefinition(@RequestBody String text) {
        return definitions.save(text);
    }
}
