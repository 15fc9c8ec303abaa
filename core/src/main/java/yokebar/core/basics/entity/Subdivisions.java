package yokebar.core.basics.entity;

import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import yokebar.core.platform.data.DataLines;
import yokebar.core.platform.data.DataLines.BadLine;
import yokebar.core.platform.data.DataLines.Line;

/** States, provinces and prefectures of the entities whose awards count them, by their ADIF codes. */
public final class Subdivisions {
    private static final int COLUMNS = 3;
    private final Map<Integer, Map<String, String>> byEntity = new LinkedHashMap<>();

    private Subdivisions() {}

    /** The file that ships with the application. */
    public static Subdivisions shipped() {
        return Shipped.SUBDIVISIONS;
    }

    private static final class Shipped {
        private static final Subdivisions SUBDIVISIONS =
                read(DataLines.textBeside(Subdivisions.class, "subdivisions.txt"), Entities.shipped());
    }

    /** @throws BadLine naming the first line that is wrong */
    public static Subdivisions read(String text, Entities entities) {
        Subdivisions subdivisions = new Subdivisions();
        for (Line line : DataLines.of(text)) {
            subdivisions.add(line, entities);
        }
        return subdivisions;
    }

    private void add(Line line, Entities entities) {
        List<String> columns = line.columns();
        if (columns.size() != COLUMNS || !columns.get(0).matches("\\d{1,3}")) {
            throw new BadLine(line, "a subdivision has an entity's number, a code and a name");
        }
        int entity = Integer.parseInt(columns.get(0));
        if (entities.numbered(entity).isEmpty()) {
            throw new BadLine(line, "there is no entity " + entity);
        }
        if (!columns.get(1).matches("[A-Z0-9]{1,3}") || columns.get(2).isEmpty()) {
            throw new BadLine(line, "a code has one to three letters or digits, and a name follows");
        }
        Map<String, String> names = byEntity.computeIfAbsent(entity, number -> new LinkedHashMap<>());
        if (names.put(columns.get(1), columns.get(2)) != null) {
            throw new BadLine(line, "code " + columns.get(1) + " is there twice");
        }
    }

    /** Whether an entity's subdivisions are known, so that a code can be wrong. */
    public boolean known(int entity) {
        return byEntity.containsKey(entity);
    }

    /** The subdivisions of an entity, names by codes; none when they are not known. */
    public Map<String, String> of(int entity) {
        return Map.copyOf(byEntity.getOrDefault(entity, Map.of()));
    }

    /** The name of a subdivision. */
    public Optional<String> name(int entity, String code) {
        return Optional.ofNullable(byEntity.getOrDefault(entity, Map.of()).get(code.toUpperCase(Locale.ROOT)));
    }
}
