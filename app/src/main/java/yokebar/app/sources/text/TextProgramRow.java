package yokebar.app.sources.text;

import jakarta.persistence.Entity;
import jakarta.persistence.GeneratedValue;
import jakarta.persistence.GenerationType;
import jakarta.persistence.Id;
import jakarta.persistence.SequenceGenerator;
import jakarta.persistence.Table;
import jakarta.persistence.Version;
import java.util.Objects;
import org.jspecify.annotations.Nullable;

/** A program with decoders as it is set up. */
@Entity
@Table(name = "text_program")
class TextProgramRow {
    @Id
    @GeneratedValue(strategy = GenerationType.SEQUENCE, generator = "text_program")
    @SequenceGenerator(name = "text_program", sequenceName = "text_program_seq", allocationSize = 1)
    @Nullable
    Long id;

    @Version
    int version;

    String name = "";

    /** Host and port, or a serial port's path. */
    String address = "";

    /** Whether it may send texts for the operator. */
    boolean sendTexts;

    long number() {
        return Objects.requireNonNull(id);
    }
}
