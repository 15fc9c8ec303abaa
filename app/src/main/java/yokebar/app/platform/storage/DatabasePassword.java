package yokebar.app.platform.storage;

import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.security.SecureRandom;
import java.sql.Connection;
import java.sql.DriverManager;
import java.sql.SQLException;
import java.sql.Statement;
import java.util.HexFormat;

/**
 * The password of the log's database: random, in a file beside the key of the secrets. It is nothing the operator has to know
 * or keep: a log whose password is lost is built anew of its rows.
 */
public final class DatabasePassword {
    private static final String FILE = "database.password";
    private static final String NEXT = "database.password.new";
    private static final String USER = "yokebar";
    private static final int BYTES = 24;
    private static final SecureRandom RANDOM = new SecureRandom();

    private DatabasePassword() {}

    /** The password; before the first one was set, that of earlier editions, which was empty. */
    public static String of(Path home) throws IOException {
        Path file = home.resolve(FILE);
        return Files.exists(file)
                ? Files.readString(file, StandardCharsets.US_ASCII).strip()
                : "";
    }

    /**
     * Gives the database a random password when it has none yet. Killed at any point, the next start finds one of the two
     * passwords and goes on from there.
     */
    static String ensure(Path home) throws IOException {
        Path file = home.resolve(FILE);
        if (Files.exists(file)) {
            return of(home);
        }
        Path next = home.resolve(NEXT);
        if (!Files.exists(next)) {
            byte[] fresh = new byte[BYTES];
            RANDOM.nextBytes(fresh);
            FolderRights.writePrivately(next, HexFormat.of().formatHex(fresh));
        }
        String password = Files.readString(next, StandardCharsets.US_ASCII).strip();
        if (!Files.exists(home.resolve(StagedLog.DATABASE)) || change(home, password)) {
            WholeFile.put(next, file);
            return password;
        }
        return "";
    }

    /** @return whether the database has the new password now */
    private static boolean change(Path home, String password) {
        String url = "jdbc:h2:file:" + home.resolve("log").toAbsolutePath() + ";IFEXISTS=TRUE;WRITE_DELAY=0";
        for (String present : new String[] {"", password}) {
            try (Connection connection = DriverManager.getConnection(url, USER, present);
                    Statement statement = connection.createStatement()) {
                // The password is made of hexadecimal digits.
                statement.execute("alter user " + USER + " set password '" + password + "'");
                return true;
            } catch (SQLException e) {
                // The other one, then; or the file cannot be opened at all, which the start finds out.
            }
        }
        return false;
    }
}
