package yokebar.bench.index;

import java.util.Arrays;
import java.util.List;
import yokebar.core.log.index.Entry;
import yokebar.core.log.index.Found;
import yokebar.core.log.index.LogIndex;
import yokebar.core.log.index.Order;
import yokebar.core.log.index.Search;
import yokebar.core.log.index.SearchText;

/** The one Yokebar has. */
final class ColumnCandidate implements IndexCandidate {
    private final LogIndex index = new LogIndex();
    private int asked;

    @Override
    public String name() {
        return "columns";
    }

    @Override
    public void add(List<Entry> entries) {
        index.add(entries);
    }

    /** With something that was not asked before, so that nothing remembered answers it. */
    private Search search(String text) {
        return SearchText.read(text + " -call:none" + asked++);
    }

    @Override
    public Answer search(Question question) {
        Found found = index.search(search(question.text()), Order.NEWEST_FIRST);
        return new Answer(found.size(), Arrays.stream(found.ids(0, 100)).boxed().toList());
    }

    @Override
    public int values(Question question, String field) {
        return index.values(search(question.text()), field).size();
    }
}
