package yokebar.core.platform.definition;

import java.io.StringReader;
import java.util.ArrayList;
import java.util.List;
import org.jspecify.annotations.Nullable;
import org.yaml.snakeyaml.LoaderOptions;
import org.yaml.snakeyaml.Yaml;
import org.yaml.snakeyaml.error.MarkedYAMLException;
import org.yaml.snakeyaml.error.YAMLException;
import org.yaml.snakeyaml.nodes.MappingNode;
import org.yaml.snakeyaml.nodes.Node;

/** The text of one definition, and the problems found while it is read. All of them are told, not only the first. */
public final class DefinitionText {
    /** A definition is written by hand; the longest that ship have some 5 000 characters. */
    public static final int MAX_CHARACTERS = 200_000;

    private static final int MAX_DEPTH = 12;
    private static final int MAX_PROBLEMS = 50;

    private final List<DefinitionProblem> problems = new ArrayList<>();
    private final @Nullable DefinitionFields fields;

    private DefinitionText(String text) {
        fields = parse(text);
    }

    public static DefinitionText of(String text) {
        return new DefinitionText(text);
    }

    /** Its outermost fields; null when the text as a whole is wrong, which {@link #problems()} tells. */
    public @Nullable DefinitionFields fields() {
        return fields;
    }

    /** By line. */
    public List<DefinitionProblem> problems() {
        return problems.stream()
                .sorted((a, b) -> Integer.compare(a.line(), b.line()))
                .toList();
    }

    void report(int line, String field, String sentence) {
        if (problems.size() < MAX_PROBLEMS) {
            problems.add(new DefinitionProblem(line, field, sentence));
        }
    }

    private @Nullable DefinitionFields parse(String text) {
        if (text.length() > MAX_CHARACTERS) {
            report(
                    1,
                    "",
                    "A definition has at most " + MAX_CHARACTERS + " characters; this one has " + text.length() + ".");
            return null;
        }
        try {
            Node root = new Yaml(options()).compose(new StringReader(text));
            if (!(root instanceof MappingNode map)) {
                report(1, "", "A definition has fields such as \"name: My contest\", one to a line.");
                return null;
            }
            return new DefinitionFields(this, "", map);
        } catch (MarkedYAMLException e) {
            int line = e.getProblemMark() == null ? 1 : e.getProblemMark().getLine() + 1;
            report(line, "", "The text cannot be read here: " + e.getProblem() + ".");
        } catch (YAMLException e) {
            report(1, "", "The text cannot be read: " + e.getMessage());
        }
        return null;
    }

    private static LoaderOptions options() {
        LoaderOptions options = new LoaderOptions();
        options.setCodePointLimit(MAX_CHARACTERS);
        options.setNestingDepthLimit(MAX_DEPTH);
        options.setAllowDuplicateKeys(false);
        return options;
    }
}
