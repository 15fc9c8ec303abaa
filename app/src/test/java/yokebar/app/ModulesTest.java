package yokebar.app;

import org.junit.jupiter.api.Test;
import org.springframework.modulith.core.ApplicationModules;

class ModulesTest {

    @Test
    void featuresUseOnlyEachOthersApiAndWithoutCycles() {
        ApplicationModules.of(YokebarApplication.class).verify();
    }
}
