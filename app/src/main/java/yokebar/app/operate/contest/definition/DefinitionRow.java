package yokebar.app.operate.contest.definition;

import jakarta.persistence.Entity;
import jakarta.persistence.GeneratedValue;
import jakarta.persistence.GenerationType;
import jakarta.persistence.Id;
import jakarta.persistence.Lob;
import jakarta.persistence.SequenceGenerator;
import jakarta.persistence.Table;
import jakarta.persistence.Version;
import org.jspecify.annotations.Nullable;

/** The definition of a contest that was written here. */
@Entity
@Table(name = "contest_definition")
class DefinitionRow {
    @Id
    @GeneratedValue(strategy = GenerationType.SEQUENCE, generator = "contest_definition")
    @SequenceGenerator(name = "contest_definition", sequenceName = "contest_definition_seq", allocationSize = 1)
    @Nullable
    Long id;

    @Version
    int version;

    String name = "";

    @Lob
    String text = "";
}
