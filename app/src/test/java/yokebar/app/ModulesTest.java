package yokebar.app;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.Set;
import java.util.TreeSet;
import java.util.stream.Collectors;
import org.junit.jupiter.api.Test;
import org.springframework.modulith.core.ApplicationModules;

class ModulesTest {
    private static final Set<String> GROUPS = Set.of("station", "sources", "operate", "log", "services", "platform");

    private static ApplicationModules modules() {
        return ApplicationModules.of(YokebarApplication.class);
    }

    @Test
    void featuresUseOnlyEachOthersApiAndWhatTheyDeclareAndWithoutCycles() {
        modules().verify();
    }

    @Test
    void everyFeatureIsInAGroupOfTheYoke() {
        Set<String> names = modules().stream()
                .map(module -> module.getIdentifier().toString())
                .collect(Collectors.toCollection(TreeSet::new));
        assertThat(names).hasSizeGreaterThan(25);
        assertThat(names).allSatisfy(name -> assertThat(name.split("\\.")[0]).isIn(GROUPS));
    }
}
