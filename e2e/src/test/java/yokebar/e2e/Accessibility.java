package yokebar.e2e;

import com.microsoft.playwright.Page;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;

/** Has axe look at a page as it stands. */
final class Accessibility {
    private static final Path AXE = Path.of("../web/node_modules/axe-core/axe.min.js");

    private Accessibility() {}

    /** What is wrong by the rules of WCAG 2.2, levels A and AA, target size included, and by good practice: the rule, and where. */
    @SuppressWarnings("unchecked")
    static List<String> faults(Page page) throws IOException {
        page.evaluate(Files.readString(AXE));
        return (List<String>)
                page.evaluate(
                        """
                async () => {
                  const tags = ['wcag2a', 'wcag2aa', 'wcag21a', 'wcag21aa', 'wcag22aa', 'best-practice'];
                  const found = await axe.run(document, { runOnly: { type: 'tag', values: tags } });
                  return found.violations.map((v) =>
                    v.id + ': ' + v.help + ' at ' + v.nodes.slice(0, 3).map((n) =>
                      n.target.join(' ') + ' (' + (n.any[0]?.message ?? n.all[0]?.message ?? n.none[0]?.message ?? '') + ')').join('; '));
                }
                """);
    }
}
