package yokebar.app.operate.contest.sending;

import java.util.Arrays;
import java.util.List;
import org.springframework.core.annotation.Order;
import org.springframework.stereotype.Component;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;
import yokebar.app.station.settings.NamedParts;
import yokebar.app.station.settings.SettingsPart;
import yokebar.core.operate.contest.sending.WayOfWorking;

/** The texts to send in contests, in the settings file: those that were written here. */
@Component
@Order(21)
class ContestTextSettings implements SettingsPart {
    private final ContestTexts texts;
    private final JsonMapper json;

    ContestTextSettings(ContestTexts texts, JsonMapper json) {
        this.texts = texts;
        this.json = json;
    }

    @Override
    public String name() {
        return "texts of contests";
    }

    @Override
    public Object save() {
        return Arrays.stream(WayOfWorking.values())
                .flatMap(way -> texts.all(way).stream())
                .filter(ContestTextView::written)
                .toList();
    }

    @Override
    public int restore(JsonNode saved, List<String> notices) {
        return NamedParts.each(
                json,
                saved,
                ContestTextView.class,
                "A text of contests",
                notices,
                one -> texts.write(one.way(), one.slot(), one.text()));
    }
}
