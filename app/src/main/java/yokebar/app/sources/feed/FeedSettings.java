package yokebar.app.sources.feed;

import java.util.List;
import org.springframework.core.annotation.Order;
import org.springframework.stereotype.Component;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;
import yokebar.app.station.settings.NamedParts;
import yokebar.app.station.settings.SettingsPart;

/** The feeds' share of the settings file. */
@Component
@Order(7)
class FeedSettings implements SettingsPart {
    private final Feeds feeds;
    private final JsonMapper json;

    FeedSettings(Feeds feeds, JsonMapper json) {
        this.feeds = feeds;
        this.json = json;
    }

    @Override
    public String name() {
        return "feeds";
    }

    @Override
    public Object save() {
        return feeds.all().stream()
                .map(Feed::row)
                .map(row -> new FeedDraft(
                        row.name, row.host, row.port, row.login, null, row.commands, row.keepAliveSeconds, row.skimmer))
                .toList();
    }

    @Override
    public int restore(JsonNode saved, List<String> notices) {
        NamedParts.Ids ids = new NamedParts.Ids();
        feeds.all().forEach(feed -> ids.add(feed.name(), feed.row().number()));
        return NamedParts.each(json, saved, FeedDraft.class, "A feed", notices, draft -> {
            Long id = ids.take(draft.name());
            boolean had = id != null && feeds.hasPassword(feeds.found(id));
            long stored = feeds.save(id, draft);
            if (had && !feeds.hasPassword(feeds.found(stored))) {
                notices.add("The password of " + draft.name()
                        + " was cleared, because the file gives another address. Type it again.");
            }
        });
    }
}
