package yokebar.app;

import static java.util.stream.Collectors.joining;
import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.TreeMap;
import java.util.TreeSet;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.springframework.modulith.core.ApplicationModule;
import org.springframework.modulith.core.ApplicationModules;

/** Each table is named by the queries of one module only: that of the entity mapped to it, where there is one. */
class SqlOwnersTest {
    private static final Path SOURCES = Path.of("src/main/java");
    private static final Path MIGRATIONS = Path.of("src/main/resources/db/migration");
    private static final Pattern CREATED = Pattern.compile("create table (\\w+)");
    private static final Pattern LITERAL = Pattern.compile("\"((?:[^\"\\\\]|\\\\.)*)\"");
    private static final Pattern NAMED = Pattern.compile("\\b(?:from|join|update|into)\\s+(\\w+)");
    private static final Pattern TABLE = Pattern.compile("@Table\\(name = \"(\\w+)\"");
    private static final Pattern ENTITY = Pattern.compile("@Entity\\b[^{]*?class (\\w+)", Pattern.DOTALL);

    /** A restored log is made safe before anything of the application runs on it. */
    private static final Set<String> ALLOWED = Set.of(
            "radio in station.backup, which is of sources.radio",
            "text_program in station.backup, which is of sources.text");

    /** The sources of one module. */
    private record Sources(String module, List<String> files) {}

    /** Tables that queries of a module name though they are another's. */
    private static List<String> borrowed(Set<String> tables, List<Sources> all) {
        Map<String, String> owners = new TreeMap<>();
        for (Sources sources : all) {
            for (String file : sources.files()) {
                Matcher entity = ENTITY.matcher(file);
                if (entity.find()) {
                    Matcher table = TABLE.matcher(file);
                    String name = entity.group(1);
                    owners.put(name, sources.module());
                    owners.put(table.find() ? table.group(1) : snakeCase(name), sources.module());
                }
            }
        }
        List<String> borrowed = new ArrayList<>();
        for (Sources sources : all) {
            Set<String> named = new TreeSet<>();
            sources.files().forEach(file -> named.addAll(named(file)));
            for (String one : named) {
                if (owners.containsKey(one) || tables.contains(one)) {
                    String owner = owners.computeIfAbsent(one, name -> sources.module());
                    if (!owner.equals(sources.module())) {
                        borrowed.add(one + " in " + sources.module() + ", which is of " + owner);
                    }
                }
            }
        }
        return borrowed;
    }

    private static Set<String> named(String file) {
        // A query over several lines is one text.
        String joined = file.replaceAll("\"\\s*\\+\\s*\"", " ");
        String literals =
                LITERAL.matcher(joined).results().map(one -> one.group(1)).collect(joining(" | "));
        Set<String> named = new TreeSet<>();
        NAMED.matcher(literals).results().forEach(one -> named.add(one.group(1)));
        return named;
    }

    private static String snakeCase(String name) {
        return name.replaceAll("(?<!^)([A-Z])", "_$1").toLowerCase();
    }

    private static Set<String> tables() throws IOException {
        Set<String> tables = new TreeSet<>();
        try (Stream<Path> files = Files.list(MIGRATIONS)) {
            for (Path file : files.toList()) {
                CREATED.matcher(Files.readString(file)).results().forEach(one -> tables.add(one.group(1)));
            }
        }
        return tables;
    }

    private static List<Sources> application() throws IOException {
        List<Sources> all = new ArrayList<>();
        for (ApplicationModule module : ApplicationModules.of(YokebarApplication.class)) {
            Path folder = SOURCES.resolve(module.getBasePackage().getName().replace('.', '/'));
            List<String> files = new ArrayList<>();
            try (Stream<Path> found = Files.walk(folder)) {
                for (Path file :
                        found.filter(path -> path.toString().endsWith(".java")).toList()) {
                    files.add(Files.readString(file));
                }
            }
            all.add(new Sources(module.getIdentifier().toString(), files));
        }
        return all;
    }

    @Test
    void queriesNameNoTableOfAnotherModule() throws Exception {
        List<Sources> application = application();
        assertThat(tables()).hasSizeGreaterThan(40).contains("contact", "delivery");
        assertThat(application).hasSizeGreaterThan(25);
        assertThat(borrowed(tables(), application)).containsExactlyInAnyOrderElementsOf(ALLOWED);
    }

    @Test
    void aBorrowedTableIsFoundInSqlAndByItsEntity() {
        Sources log = new Sources("log", List.of("@Entity\n@Table(name = \"contact\")\npublic class ContactRow {}"));
        Sources other = new Sources(
                "other",
                List.of(
                        "db.createNativeQuery(\"select n.id from note n\"\n    + \" join contact c on c.id = n.id\")",
                        "db.createQuery(\"from ContactRow where id = 1\")",
                        "// a comment may say from contact"));
        assertThat(borrowed(Set.of("contact", "note"), List.of(log, other)))
                .containsExactly("ContactRow in other, which is of log", "contact in other, which is of log");
    }
}
