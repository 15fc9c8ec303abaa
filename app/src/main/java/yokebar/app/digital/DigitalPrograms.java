package yokebar.app.digital;

import java.util.List;
import org.springframework.stereotype.Service;

/** The programs on the digital link, for other features. */
@Service
public class DigitalPrograms {
    private final DigitalLink link;

    DigitalPrograms(DigitalLink link) {
        this.link = link;
    }

    public List<ProgramView> views() {
        return link.programs().stream().map(ProgramView::of).toList();
    }
}
