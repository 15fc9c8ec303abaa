package yokebar.app.operate.contest.definition;

import java.util.List;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Service;
import yokebar.app.platform.rejection.Rejection;
import yokebar.app.station.position.Positions;
import yokebar.app.station.profile.Station;
import yokebar.app.station.reference.ReferenceData;
import yokebar.core.basics.call.Call;
import yokebar.core.operate.contest.ContestDefinition;
import yokebar.core.operate.contest.DefinitionReader;
import yokebar.core.operate.contest.tryout.DefinitionTryout;

/** Counts sample contacts as the station would make them; nothing is stored. */
@Service
class DefinitionTryouts {
    private static final int MAX_LINES = 500;

    private final Station station;
    private final Positions positions;
    private final ReferenceData reference;

    DefinitionTryouts(Station station, Positions positions, ReferenceData reference) {
        this.station = station;
        this.positions = positions;
        this.reference = reference;
    }

    SampleContactsView tried(SampleContactsRequest request) {
        ContestDefinition definition =
                DefinitionReader.read(text(request.definition())).definition();
        if (definition == null) {
            throw new Rejection("definition", "Correct the definition first; then contacts can be counted by it.");
        }
        List<String> lines = text(request.contacts()).lines().toList();
        if (lines.size() > MAX_LINES) {
            throw new Rejection("contacts", "At most " + MAX_LINES + " contacts can be tried at once.");
        }
        Call own = station.ownCall()
                .orElseThrow(
                        () -> new Rejection("contacts", "The station has no call yet; set it on the Station page."));
        return SampleContactsView.of(DefinitionTryout.of(
                definition, reference.entities(), own, positions.settingAt(null).locator(), lines));
    }

    private static String text(@Nullable String given) {
        return given == null ? "" : given;
    }
}
