package yokebar.app.operate.contest.definition;

import jakarta.persistence.EntityManager;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Objects;
import java.util.Optional;
import java.util.stream.Stream;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import yokebar.app.platform.rejection.Rejection;
import yokebar.core.operate.contest.ContestDefinition;
import yokebar.core.operate.contest.ContestMode;
import yokebar.core.operate.contest.DefinitionReader;
import yokebar.core.operate.contest.ExchangeField;
import yokebar.core.operate.contest.ShippedDefinitions;
import yokebar.core.operate.contest.limit.Category;
import yokebar.core.operate.contest.summary.DefinitionSummary;

/** The definitions of contests: those that ship, and those that were written here. */
@Service
public class ContestDefinitions {
    private final EntityManager db;
    private final List<Known> shipped;

    ContestDefinitions(EntityManager db) {
        this.db = db;
        shipped = ShippedDefinitions.texts().values().stream()
                .map(text -> known(text, true))
                .toList();
    }

    /** A definition with the text it was read from. */
    public record Known(ContestDefinition definition, String text, boolean ships) {}

    /** All of them, in the order in which they begin. */
    @Transactional(readOnly = true)
    List<DefinitionView> views() {
        List<Known> all = new ArrayList<>(shipped);
        db.createQuery("from DefinitionRow", DefinitionRow.class)
                .getResultStream()
                .map(row -> known(row.text, false))
                .forEach(all::add);
        return all.stream()
                .sorted(Comparator.comparing(known -> known.definition().from()))
                .map(ContestDefinitions::view)
                .toList();
    }

    @Transactional(readOnly = true)
    public Known named(String name) {
        if (name.isEmpty()) {
            throw new Rejection("contest", "Choose a contest.");
        }
        return shipped.stream()
                .filter(known -> known.definition().name().equals(name))
                .findFirst()
                .or(() -> written(name).map(row -> known(row.text, false)))
                .orElseThrow(() -> new Rejection("contest", "There is no contest called \"" + name + "\"."));
    }

    /** Stores a definition, in place of the one of that name that was written here before; books keep the rules they began with. */
    @Transactional
    DefinitionProblems save(String text) {
        DefinitionReader.Result read = DefinitionReader.read(text);
        ContestDefinition definition = read.definition();
        if (definition == null) {
            return new DefinitionProblems(null, problems(read));
        }
        String name = definition.name();
        if (shipped.stream().anyMatch(known -> known.definition().name().equalsIgnoreCase(name))) {
            throw new Rejection("name", "The contest " + name + " ships with Yokebar. Give yours another name.");
        }
        DefinitionRow row = written(name).orElseGet(DefinitionRow::new);
        row.name = name;
        row.text = text;
        db.persist(row);
        return new DefinitionProblems(name, List.of());
    }

    /** Reads a text that is being written. */
    DefinitionCheck check(String text) {
        DefinitionReader.Result read = DefinitionReader.read(text);
        ContestDefinition definition = read.definition();
        return definition == null
                ? new DefinitionCheck(null, List.of(), problems(read))
                : new DefinitionCheck(
                        view(new Known(definition, text, false)), DefinitionSummary.of(definition), List.of());
    }

    /** Deletes a definition that was written here. */
    @Transactional
    void remove(String name) {
        if (shipped.stream().anyMatch(known -> known.definition().name().equals(name))) {
            throw new Rejection("name", "The contest " + name + " ships with Yokebar and cannot be deleted.");
        }
        DefinitionRow row = written(name)
                .orElseThrow(() -> Rejection.notThere("There is no contest called \"" + name + "\" written here."));
        db.remove(row);
    }

    private Optional<DefinitionRow> written(String name) {
        return db.createQuery("from DefinitionRow where name = :name", DefinitionRow.class)
                .setParameter("name", name)
                .getResultStream()
                .findFirst();
    }

    private static List<DefinitionProblems.ProblemView> problems(DefinitionReader.Result read) {
        return read.problems().stream()
                .map(problem -> new DefinitionProblems.ProblemView(problem.line(), problem.field(), problem.sentence()))
                .toList();
    }

    /** Reads a text that was checked when it was stored. */
    public static ContestDefinition checked(String text) {
        DefinitionReader.Result read = DefinitionReader.read(text);
        return Objects.requireNonNull(
                read.definition(), () -> "a stored definition cannot be read: " + read.problems());
    }

    /** The choices that a book keeps as its category; power, where it counts, it keeps by itself. */
    public static Stream<Category> categories(ContestDefinition definition) {
        boolean powerCounts = !definition.score().powerFactors().isEmpty();
        return definition.categories().stream()
                .filter(category -> !powerCounts || !category.name().equals(Category.POWER));
    }

    private static Known known(String text, boolean ships) {
        return new Known(checked(text), text, ships);
    }

    private static DefinitionView view(Known known) {
        ContestDefinition definition = known.definition();
        return new DefinitionView(
                definition.name(),
                known.ships(),
                definition.from(),
                definition.until(),
                definition.bands().stream().map(band -> band.adifName()).toList(),
                definition.modes().stream().map(ContestMode::written).toList(),
                definition.exchange().stream().map(ContestDefinitions::view).toList(),
                List.copyOf(definition.score().powerFactors().keySet()),
                categories(definition).map(CategoryView::of).toList(),
                known.text());
    }

    private static DefinitionView.ExchangeFieldView view(ExchangeField field) {
        return new DefinitionView.ExchangeFieldView(
                field.name(),
                field.kind().written(),
                field.kind().isGiven(),
                field.allowed().stream().toList());
    }
}
