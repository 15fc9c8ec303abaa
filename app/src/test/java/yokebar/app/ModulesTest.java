package yokebar.app;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Map;
import java.util.Set;
import java.util.TreeMap;
import java.util.TreeSet;
import java.util.stream.Collectors;
import org.junit.jupiter.api.Test;
import org.springframework.modulith.core.ApplicationModule;
import org.springframework.modulith.core.ApplicationModules;

class ModulesTest {
    private static final Set<String> GROUPS = Set.of("station", "sources", "operate", "log", "services", "platform");
    private static final Path PICTURE = Path.of("../docs/modules.md");
    private static final Path FRESH = Path.of("target/modules.md");

    private static final ApplicationModules MODULES = ApplicationModules.of(YokebarApplication.class);

    @Test
    void featuresUseOnlyEachOthersApiAndWhatTheyDeclareAndWithoutCycles() {
        MODULES.verify();
    }

    @Test
    void featuresThatReachIntoEachOtherAreFound() {
        ApplicationModules planted = ApplicationModules.of("yokebar.planted", location -> true);
        assertThatThrownBy(planted::verify)
                .hasMessageContaining("Cycle detected")
                .hasMessageContaining("Module 'one' depends on module 'two'");
    }

    @Test
    void everyFeatureIsInAGroupOfTheYoke() {
        assertThat(uses().keySet()).hasSizeGreaterThan(25);
        assertThat(uses().keySet()).allSatisfy(name -> assertThat(group(name)).isIn(GROUPS));
    }

    /** When this fails: copy {@code app/target/modules.md} to {@code docs/modules.md}. */
    @Test
    void thePictureInDocsIsOfTheCode() throws IOException {
        Files.writeString(FRESH, picture());
        assertThat(Files.readString(PICTURE)).isEqualTo(picture());
    }

    private static Map<String, Set<String>> uses() {
        Map<String, Set<String>> uses = new TreeMap<>();
        for (ApplicationModule module : MODULES) {
            uses.put(
                    name(module),
                    module.getDirectDependencies(MODULES)
                            .uniqueModules()
                            .map(ModulesTest::name)
                            .collect(Collectors.toCollection(TreeSet::new)));
        }
        return uses;
    }

    private static String name(ApplicationModule module) {
        return module.getIdentifier().toString();
    }

    private static String group(String name) {
        return name.split("\\.")[0];
    }

    private static String picture() {
        StringBuilder text = new StringBuilder(
                """
                # Modules of the application

                Made from the code by `ModulesTest`, which fails when the two differ. What every feature stands on (*platform*) is left
                out of the picture, and stands in the table.

                ```mermaid
                graph LR
                """);
        Map<String, Set<String>> uses = uses();
        for (String group : new TreeSet<>(GROUPS)) {
            if (!group.equals("platform")) {
                text.append("  subgraph group_" + group + "[" + group + "]\n");
                uses.keySet().stream()
                        .filter(name -> group(name).equals(group))
                        .forEach(name -> text.append("    ").append(name).append('\n'));
                text.append("  end\n");
            }
        }
        uses.forEach((name, others) -> others.stream()
                .filter(other ->
                        !group(name).equals("platform") && !group(other).equals("platform"))
                .forEach(other -> text.append("  ")
                        .append(name)
                        .append(" --> ")
                        .append(other)
                        .append('\n')));
        text.append("```\n\n| module | uses |\n|---|---|\n");
        uses.forEach((name, others) -> text.append("| ")
                .append(name)
                .append(" | ")
                .append(String.join(", ", others))
                .append(" |\n"));
        return text.toString();
    }
}
