package yokebar.app.operate.contest.definition;

import java.util.List;
import org.jspecify.annotations.Nullable;
import org.springframework.http.MediaType;
import org.springframework.web.bind.annotation.DeleteMapping;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;
import yokebar.app.platform.storage.StoresNothing;

/** The definitions of contests over HTTP. */
@RestController
@RequestMapping("/api/contest-definitions")
class DefinitionController {
    private final ContestDefinitions definitions;
    private final DefinitionTryouts tryouts;

    DefinitionController(ContestDefinitions definitions, DefinitionTryouts tryouts) {
        this.definitions = definitions;
        this.tryouts = tryouts;
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

    /** Reads a definition without storing it, and says what its rules are or what has to be corrected. */
    @StoresNothing
    @PostMapping(value = "/check", consumes = MediaType.TEXT_PLAIN_VALUE)
    DefinitionCheck checkDefinition(@RequestBody(required = false) @Nullable String text) {
        return definitions.check(text == null ? "" : text);
    }

    /** Counts sample contacts by a definition without storing anything. */
    @StoresNothing
    @PostMapping("/try")
    SampleContactsView tryDefinition(@RequestBody SampleContactsRequest request) {
        return tryouts.tried(request);
    }

    /** Deletes a definition that was written here; books keep the rules with which they began. */
    @DeleteMapping
    List<DefinitionView> removeDefinition(@RequestParam String name) {
        definitions.remove(name);
        return definitions.views();
    }
}
