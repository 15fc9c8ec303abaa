package yokebar.app.platform.storage;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Map;
import java.util.concurrent.atomic.AtomicReference;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.springframework.context.support.GenericApplicationContext;
import org.springframework.core.env.MapPropertySource;

class DataFolderTest {
    @TempDir
    private Path home;

    private GenericApplicationContext context() {
        GenericApplicationContext context = new GenericApplicationContext();
        context.getEnvironment()
                .getPropertySources()
                .addFirst(new MapPropertySource("test", Map.of("yokebar.home", home.toString())));
        return context;
    }

    @Test
    void oneYokebarAtATimeHasIt() {
        GenericApplicationContext first = context();
        DataFolder.claim(first);
        first.refresh();
        assertThatThrownBy(() -> DataFolder.claim(context())).hasMessageContaining("Another Yokebar is running");
        first.close();
        GenericApplicationContext second = context();
        DataFolder.claim(second);
        second.refresh();
        second.close();
    }

    @Test
    void itIsHadUntilNothingOfTheRunIsLeft() {
        GenericApplicationContext first = context();
        DataFolder.claim(first);
        first.refresh();
        AtomicReference<Throwable> whileClosing = new AtomicReference<>();
        first.getDefaultListableBeanFactory().registerDisposableBean("log", () -> {
            try {
                DataFolder.claim(context());
            } catch (RuntimeException e) {
                whileClosing.set(e);
            }
        });
        first.close();
        assertThat(whileClosing.get()).hasMessageContaining("Another Yokebar is running");
    }

    @Test
    void whatWasMadeReadyTakesTheLogsPlaceAndTheLogIsKeptBeside() throws Exception {
        Files.writeString(home.resolve(StagedLog.DATABASE), "the log");
        Files.writeString(home.resolve("search-index"), "of the log");
        Files.createDirectories(StagedLog.folder(home));
        Files.writeString(StagedLog.folder(home).resolve(StagedLog.DATABASE), "the backup");
        GenericApplicationContext context = context();
        DataFolder.claim(context);
        context.refresh();
        context.close();
        assertThat(home.resolve(StagedLog.DATABASE)).hasContent("the backup");
        assertThat(home.resolve("search-index")).doesNotExist();
        try (var files = Files.list(home)) {
            assertThat(files.filter(file -> file.getFileName().toString().startsWith("replaced-")))
                    .singleElement()
                    .satisfies(kept -> assertThat(kept).hasContent("the log"));
        }
    }
}
