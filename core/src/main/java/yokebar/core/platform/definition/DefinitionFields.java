package yokebar.core.platform.definition;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.function.Function;
import org.jspecify.annotations.Nullable;
import org.yaml.snakeyaml.nodes.MappingNode;
import org.yaml.snakeyaml.nodes.Node;
import org.yaml.snakeyaml.nodes.NodeTuple;
import org.yaml.snakeyaml.nodes.ScalarNode;
import org.yaml.snakeyaml.nodes.SequenceNode;

/**
 * The named fields at one place of a definition. What is missing or of the wrong kind is reported to the text with its line, and
 * reading goes on.
 */
public final class DefinitionFields {
    private final DefinitionText text;
    private final String path;
    private final int line;
    private final Map<String, Node> nodes = new LinkedHashMap<>();
    private final Map<String, Integer> lines = new LinkedHashMap<>();

    DefinitionFields(DefinitionText text, String path, MappingNode map) {
        this.text = text;
        this.path = path;
        line = map.getStartMark().getLine() + 1;
        for (NodeTuple tuple : map.getValue()) {
            int at = lineOf(tuple.getKeyNode());
            if (!(tuple.getKeyNode() instanceof ScalarNode key)) {
                text.report(at, path, "A field has a plain name here.");
            } else if (nodes.containsKey(key.getValue())) {
                text.report(at, inner(key.getValue()), "The field \"" + key.getValue() + "\" is there twice.");
            } else {
                lines.put(key.getValue(), at);
                nodes.put(key.getValue(), tuple.getValueNode());
            }
        }
    }

    /** The line it begins on, counted from 1. */
    public int line() {
        return line;
    }

    public Set<String> names() {
        return nodes.keySet();
    }

    /** Reports each field that is none of these. */
    public void only(String... known) {
        List<String> all = List.of(known);
        for (String name : nodes.keySet()) {
            if (!all.contains(name)) {
                report(name, "There is no field \"" + name + "\" here; there are " + String.join(", ", all) + ".");
            }
        }
    }

    /** Reports something about one of its fields; about the whole of it where that field is missing. */
    public void report(String name, String sentence) {
        text.report(lines.getOrDefault(name, line), inner(name), sentence);
    }

    /** A field that has to be there; empty and reported where it is not. */
    public String text(String name) {
        String value = textOr(name, "");
        if (value.isEmpty() && !nodes.containsKey(name)) {
            report(name, "The field \"" + name + "\" is missing.");
        }
        return value;
    }

    public String textOr(String name, String otherwise) {
        Node node = node(name);
        if (node == null) {
            return otherwise;
        }
        if (node instanceof ScalarNode scalar) {
            return scalar.getValue().strip();
        }
        report(name, "The field \"" + name + "\" has one value, not several.");
        return otherwise;
    }

    /** A whole number; the least and reported where it is none or out of range. */
    public int number(String name, int least, int max) {
        String value = text(name);
        if (value.matches("-?\\d{1,9}")) {
            int number = Integer.parseInt(value);
            if (number >= least && number <= max) {
                return number;
            }
        }
        if (nodes.containsKey(name)) {
            report(name, "\"" + value + "\" is not a whole number from " + least + " to " + max + ".");
        }
        return least;
    }

    public int numberOr(String name, int least, int max, int otherwise) {
        return nodes.containsKey(name) ? number(name, least, max) : otherwise;
    }

    /** One or more values; a single one needs no brackets. */
    public List<String> texts(String name) {
        Node node = node(name);
        if (node instanceof SequenceNode sequence) {
            List<String> values = new ArrayList<>();
            for (Node each : sequence.getValue()) {
                if (usable(each, name) && each instanceof ScalarNode scalar) {
                    values.add(scalar.getValue().strip());
                } else {
                    text.report(
                            lineOf(each), inner(name), "Each value of \"" + name + "\" is a single word or number.");
                }
            }
            return values;
        }
        String single = node == null ? "" : textOr(name, "");
        return single.isEmpty() ? List.of() : List.of(single);
    }

    /**
     * One or more values as something else.
     *
     * @param read null for a value that is none
     * @param allowed what is right, for the sentence about one that is wrong
     */
    public <T> List<T> values(String name, Function<String, @Nullable T> read, String allowed) {
        List<T> values = new ArrayList<>();
        for (String written : texts(name)) {
            T value = read.apply(written);
            if (value == null) {
                report(name, "\"" + written + "\" is not known here; there are " + allowed + ".");
            } else {
                values.add(value);
            }
        }
        return values;
    }

    /** The fields inside a field; null where it is not there. */
    public @Nullable DefinitionFields fields(String name) {
        Node node = node(name);
        if (node == null) {
            return null;
        }
        if (node instanceof MappingNode map) {
            return new DefinitionFields(text, inner(name), map);
        }
        report(name, "The field \"" + name + "\" has fields of its own.");
        return null;
    }

    /** A list of which each entry has fields; empty where it is not there. */
    public List<DefinitionFields> entries(String name) {
        Node node = node(name);
        if (node == null) {
            return List.of();
        }
        if (!(node instanceof SequenceNode sequence)) {
            report(name, "The field \"" + name + "\" is a list; each entry begins with a dash.");
            return List.of();
        }
        List<DefinitionFields> entries = new ArrayList<>();
        for (Node each : sequence.getValue()) {
            if (usable(each, name) && each instanceof MappingNode map) {
                entries.add(new DefinitionFields(text, inner(name) + "[" + entries.size() + "]", map));
            } else {
                text.report(lineOf(each), inner(name), "Each entry of \"" + name + "\" has fields of its own.");
            }
        }
        return entries;
    }

    private @Nullable Node node(String name) {
        Node node = nodes.get(name);
        return node != null && usable(node, name) ? node : null;
    }

    /** A reference could lead back to where it stands, or make a short text a long one. */
    private boolean usable(Node node, String name) {
        if (node.getAnchor() == null) {
            return true;
        }
        text.report(
                lineOf(node), inner(name), "Write the value out; references (& and *) are not used in definitions.");
        return false;
    }

    private String inner(String name) {
        return path.isEmpty() ? name : path + "." + name;
    }

    private static int lineOf(Node node) {
        return node.getStartMark().getLine() + 1;
    }
}
