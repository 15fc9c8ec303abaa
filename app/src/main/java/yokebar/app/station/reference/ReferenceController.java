package yokebar.app.station.reference;

import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.time.Instant;
import java.time.LocalDate;
import java.util.List;
import org.jspecify.annotations.Nullable;
import org.springframework.web.bind.annotation.DeleteMapping;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;
import org.springframework.web.multipart.MultipartFile;
import yokebar.app.platform.rejection.Rejection;
import yokebar.app.platform.storage.OnConflict;
import yokebar.core.basics.entity.Entities;
import yokebar.core.basics.station.StationList;

/** Editions of the reference data over HTTP. */
@RestController
@RequestMapping("/api/reference")
class ReferenceController {
    private static final long LARGEST_FILE = 16 << 20;

    private final ReferenceData data;
    private final StationLists stations;
    private final ReferenceUpdates updates;

    ReferenceController(ReferenceData data, StationLists stations, ReferenceUpdates updates) {
        this.data = data;
        this.stations = stations;
        this.updates = updates;
    }

    /**
     * A list of stations that take part in contests, and what they send.
     *
     * @param file by which it is named here
     * @param edition day it was made; null when there is none
     * @param stations how many stand in it
     */
    record StationListView(String file, @Nullable LocalDate edition, int stations) {}

    /**
     * What is in use, and where newer comes from.
     *
     * @param edition day the list in use was made
     * @param shipped day the list that came with the application was made
     * @param entities how many count today
     * @param daily whether it is looked for by itself
     * @param lookedAt when it was looked for last, UTC
     * @param outcome what came of that
     * @param stationLists those of stations
     */
    record ReferenceView(
            LocalDate edition,
            LocalDate shipped,
            int entities,
            @Nullable String address,
            boolean daily,
            @Nullable Instant lookedAt,
            @Nullable String outcome,
            boolean failed,
            List<StationListView> stationLists) {}

    /** The lists in use. */
    @GetMapping
    ReferenceView view() {
        ReferenceSource source = updates.source();
        Entities entities = data.entities();
        return new ReferenceView(
                entities.edition(),
                Entities.shipped().edition(),
                (int) entities.all().stream().filter(e -> e.lastDay() == null).count(),
                source.address,
                source.daily,
                source.lookedAt,
                source.outcome,
                source.failed,
                stations.all().stream().map(ReferenceController::view).toList());
    }

    private static StationListView view(KeptStations list) {
        return new StationListView(
                list.file(), list.edition(), list.list().map(StationList::size).orElse(0));
    }

    /** Sets where newer lists are fetched. */
    @PutMapping
    ReferenceView save(@RequestBody ReferenceUpdates.ReferenceDraft draft) {
        OnConflict.tryAgain(() -> updates.save(draft));
        return view();
    }

    /** Looks for a newer edition now and waits for what comes of it. */
    @PostMapping("/look")
    ReferenceView look() {
        updates.look();
        return view();
    }

    /**
     * Puts a list of stations of one's own in the place of the one before.
     *
     * @param list {@code stations} or {@code exchanges}
     */
    @PostMapping("/station-lists/{list}")
    ReferenceView choose(@PathVariable String list, @RequestParam("file") MultipartFile file) {
        KeptStations kept = stations.list(list);
        if (file.getSize() > LARGEST_FILE) {
            throw new Rejection("file", "A list of stations has at most 16 MB.");
        }
        try {
            kept.choose(new String(file.getBytes(), StandardCharsets.UTF_8));
        } catch (IllegalArgumentException e) {
            throw new Rejection("file", e.getMessage() + " The list in use stays.");
        } catch (IOException e) {
            throw Rejection.notPossibleNow("The list could not be stored, and the one in use stays: " + e.getMessage());
        }
        return view();
    }

    /**
     * Drops a list of stations.
     *
     * @param list {@code stations} or {@code exchanges}
     */
    @DeleteMapping("/station-lists/{list}")
    ReferenceView drop(@PathVariable String list) throws IOException {
        stations.list(list).drop();
        return view();
    }
}
