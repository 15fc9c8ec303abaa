package yokebar.app.platform.storage;

import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.channels.FileChannel;
import java.nio.channels.FileLock;
import java.nio.channels.OverlappingFileLockException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.StandardOpenOption;
import java.util.Map;
import org.jspecify.annotations.Nullable;
import org.springframework.beans.factory.support.DefaultListableBeanFactory;
import org.springframework.boot.context.event.ApplicationReadyEvent;
import org.springframework.context.ConfigurableApplicationContext;
import org.springframework.core.env.MapPropertySource;

/**
 * The folder with the log. One Yokebar at a time may have it: two would each believe to be the only judge of what is a new
 * contact. The claim is a lock the system frees by itself when the process ends in any way.
 */
public final class DataFolder {
    private DataFolder() {}

    /**
     * Claims the folder for the life of the context, or ends the process with one sentence when another Yokebar has it.
     */
    public static void claim(ConfigurableApplicationContext context) {
        Path home = Path.of(context.getEnvironment().getRequiredProperty("yokebar.home"));
        try {
            Files.createDirectories(home);
            FileChannel channel =
                    FileChannel.open(home.resolve("in-use"), StandardOpenOption.CREATE, StandardOpenOption.WRITE);
            FileLock lock = tryLock(channel);
            if (lock == null) {
                channel.close();
                refuse("Another Yokebar is running on the log in " + home
                        + ". Use that one, close it first, or give this one its own folder in YOKEBAR_HOME.");
            }
            FolderRights.makePrivate(home);
            StagedLog.carryOut(home);
            context.getEnvironment()
                    .getPropertySources()
                    .addFirst(new MapPropertySource(
                            "database", Map.of("spring.datasource.password", DatabasePassword.ensure(home))));
            // What was made since, as the log itself, is private, too.
            context.addApplicationListener(event -> {
                if (event instanceof ApplicationReadyEvent) {
                    makePrivate(home);
                }
            });
            // The first to come is the last to go: by then nobody has the log open any more.
            DefaultListableBeanFactory beans = (DefaultListableBeanFactory) context.getBeanFactory();
            beans.registerDisposableBean("dataFolder", () -> release(channel));
        } catch (IOException e) {
            refuse("The data folder " + home + " cannot be used: " + e
                    + ". Make it writable, or name another in YOKEBAR_HOME.");
        }
    }

    private static void makePrivate(Path home) {
        try {
            FolderRights.makePrivate(home);
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    private static @Nullable FileLock tryLock(FileChannel channel) throws IOException {
        try {
            return channel.tryLock();
        } catch (OverlappingFileLockException e) {
            return null;
        }
    }

    private static void release(FileChannel channel) {
        try {
            channel.close();
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    private static void refuse(String sentence) {
        throw new FolderNotAvailable(sentence);
    }

    /** The data folder cannot be had; the message is for the operator. */
    static final class FolderNotAvailable extends RuntimeException {
        private static final long serialVersionUID = 1L;

        FolderNotAvailable(String sentence) {
            super(sentence);
        }
    }
}
