package yokebar.app.intake;

import java.util.List;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Component;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;
import yokebar.app.settings.NamedParts;
import yokebar.app.settings.SettingsPart;

/** The followed files' share of the settings file. On another computer they are followed from then on. */
@Component
class FileSettings implements SettingsPart {
    private final FollowedFiles files;
    private final JsonMapper json;

    FileSettings(FollowedFiles files, JsonMapper json) {
        this.files = files;
        this.json = json;
    }

    private record Saved(
            String name,
            String path,
            String ownCalls,
            @Nullable String operatorCall,
            boolean holdDeliveries,
            boolean lookUp) {}

    @Override
    public String name() {
        return "followed files";
    }

    @Override
    public int order() {
        return 8;
    }

    @Override
    public Object save() {
        return files.all().stream()
                .map(FollowedFile::source)
                .map(source -> new Saved(
                        source.name,
                        String.valueOf(source.path),
                        String.join(",", source.calls()),
                        source.operatorCall,
                        source.holdDeliveries,
                        source.lookUp))
                .toList();
    }

    @Override
    public int restore(JsonNode saved, List<String> told) {
        return NamedParts.each(json, saved, Saved.class, "A followed file", told, one -> {
            SourceDraft draft = new SourceDraft(
                    one.name(),
                    one.ownCalls(),
                    null,
                    null,
                    one.operatorCall() == null ? "" : one.operatorCall(),
                    one.holdDeliveries(),
                    one.lookUp());
            files.all().stream()
                    .map(FollowedFile::source)
                    .filter(source -> one.path().equals(source.path))
                    .findFirst()
                    .ifPresentOrElse(
                            source -> files.change(source.number(), draft),
                            () -> files.add(one.path(), FollowedFiles.Begin.FROM_NOW_ON, null, draft));
        });
    }
}
