package yokebar.app.sources.intake.source;

import java.util.ArrayList;
import java.util.List;
import java.util.Set;
import java.util.TreeSet;
import org.jspecify.annotations.Nullable;
import org.springframework.web.bind.annotation.DeleteMapping;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RestController;
import yokebar.app.platform.rejection.Rejection;
import yokebar.app.platform.storage.OnConflict;
import yokebar.app.sources.intake.decide.HeldContacts;
import yokebar.app.sources.intake.file.FollowedFiles;
import yokebar.app.sources.intake.file.FoundLogs;
import yokebar.app.sources.intake.port.SourcePorts;
import yokebar.app.sources.intake.tryout.TryoutOptions;

/** Where records come from, over HTTP. */
@RestController
@RequestMapping("/api/intake-sources")
class SourceController {
    private final FollowedFiles files;
    private final SourcePorts ports;
    private final FoundLogs found;
    private final HeldContacts held;

    SourceController(FollowedFiles files, SourcePorts ports, FoundLogs found, HeldContacts held) {
        this.files = files;
        this.ports = ports;
        this.found = found;
        this.held = held;
    }

    /**
     * A source as it is set up.
     *
     * @param hookup the coupling that shows how it does
     * @param builtIn whether it can only be switched off
     * @param held how many of its contacts wait with the services
     */
    record SourceView(
            long id,
            String hookup,
            IntakeSource.Kind kind,
            String name,
            @Nullable String path,
            @Nullable Integer port,
            boolean builtIn,
            Set<String> ownCalls,
            @Nullable Long placeId,
            @Nullable Long radioId,
            @Nullable String operatorCall,
            boolean holdDeliveries,
            boolean lookUp,
            int held) {}

    /** @param from the first day whose contacts are taken, UTC, with {@code FROM_DATE} */
    record NewFile(
            String path, FollowedFiles.@Nullable Begin begin, @Nullable String from, @Nullable SourceDraft options) {}

    record NewPort(IntakeSource.Kind kind, int port, @Nullable SourceDraft options) {}

    /** What became of letting go. */
    record ReleasedContacts(int contacts) {}

    private static final SourceDraft AS_IS = new SourceDraft(null, null, null, null, null, null, null);

    /** Where records come from: followed files and ports. */
    @GetMapping
    List<SourceView> all() {
        List<SourceView> all = new ArrayList<>();
        files.all().forEach(file -> all.add(view(file.source(), null)));
        ports.all().forEach(port -> all.add(view(port.source(), port.currentPort())));
        return all;
    }

    /** ADI logs in the folders where programs usually keep them. */
    @GetMapping("/found")
    List<FoundLogs.FoundLog> found() {
        return found.look();
    }

    /** Follows the log file of another program. */
    @PostMapping("/files")
    List<SourceView> follow(@RequestBody NewFile file) {
        files.add(
                file.path(),
                file.begin() == null ? FollowedFiles.Begin.EVERYTHING : file.begin(),
                TryoutOptions.TryoutDraft.day("from", file.from()),
                file.options() == null ? AS_IS : file.options());
        return all();
    }

    /** Opens a port by which a program sends its records. */
    @PostMapping("/ports")
    List<SourceView> listen(@RequestBody NewPort port) {
        ports.add(port.kind(), port.port(), port.options() == null ? AS_IS : port.options());
        return all();
    }

    /** Changes what is done with the records of a source. */
    @PutMapping("/{id}")
    List<SourceView> change(@PathVariable long id, @RequestBody SourceDraft draft) {
        if (isFile(id)) {
            OnConflict.tryAgain(() -> files.change(id, draft));
        } else {
            OnConflict.tryAgain(() -> ports.change(id, draft));
        }
        return all();
    }

    /** Stops following a file, or closes a port. */
    @DeleteMapping("/{id}")
    List<SourceView> remove(@PathVariable long id) {
        if (isFile(id)) {
            files.remove(id);
        } else {
            ports.remove(id);
        }
        return all();
    }

    /** Lets the services have the contacts of a source that waited for a look. */
    @PostMapping("/{id}/let-go")
    ReleasedContacts letGo(@PathVariable long id) {
        SourceView source = all().stream()
                .filter(s -> s.id() == id)
                .findFirst()
                .orElseThrow(() -> new Rejection("id", "There is no source with the number " + id + "."));
        return new ReleasedContacts(held.letGo(source.hookup()));
    }

    private boolean isFile(long id) {
        return files.all().stream().anyMatch(file -> file.source().number() == id);
    }

    private SourceView view(IntakeSource source, @Nullable Integer port) {
        return new SourceView(
                source.number(),
                source.hookupId(),
                source.kind,
                source.name,
                source.path,
                port,
                source.builtIn(),
                new TreeSet<>(source.calls()),
                source.placeId,
                source.radioId,
                source.operatorCall,
                source.holdDeliveries,
                source.lookUp,
                held.count(source.hookupId()));
    }
}
