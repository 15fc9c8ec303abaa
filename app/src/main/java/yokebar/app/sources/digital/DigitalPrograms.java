package yokebar.app.sources.digital;

import java.util.List;
import org.springframework.stereotype.Service;

/** The programs on the digital link, for other features. */
@Service
public class DigitalPrograms {
    private final DigitalLink link;

    DigitalPrograms(DigitalLink link) {
        this.link = link;
    }

    /**
     * Tells a program to answer something it has read; it transmits then. Only the operator's own word calls this.
     *
     * @param decodeId as {@link DecodeHeard} has it
     */
    public void answer(String programId, String decodeId) {
        link.answer(programId, decodeId);
    }

    public List<ProgramView> views() {
        return link.programs().stream().map(ProgramView::of).toList();
    }
}
