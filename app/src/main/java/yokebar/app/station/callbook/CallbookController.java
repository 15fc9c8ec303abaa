package yokebar.app.station.callbook;

import java.io.IOException;
import java.time.Duration;
import java.time.Instant;
import org.jspecify.annotations.Nullable;
import org.springframework.http.CacheControl;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.web.bind.annotation.DeleteMapping;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;
import org.springframework.web.multipart.MultipartFile;
import yokebar.app.platform.rejection.Rejection;
import yokebar.app.platform.storage.OnConflict;
import yokebar.app.platform.storage.StoresNothing;
import yokebar.core.basics.call.Call;

/** The callbooks over HTTP. */
@RestController
@RequestMapping("/api/callbook")
class CallbookController {
    private static final Duration PICTURE_STAYS = Duration.ofHours(1);

    private final CallbookStore store;
    private final Callbook callbook;

    CallbookController(CallbookStore store, Callbook callbook) {
        this.store = store;
        this.callbook = callbook;
    }

    /**
     * How callbooks are set up.
     *
     * @param hookup the coupling to the one on the network
     * @param secretNotice what there is to know of the password, as that it must be typed again; null when nothing
     * @param freshDays for how long its answers count as fresh
     * @param answers how many calls it was asked about
     * @param fileName null when there is no file
     */
    record CallbookView(
            String hookup,
            @Nullable String address,
            @Nullable String account,
            boolean hasPassword,
            @Nullable String secretNotice,
            int freshDays,
            long answers,
            @Nullable String fileName,
            int fileEntries,
            @Nullable Instant fileReadAt) {}

    /** @param leftOut lines without a call */
    record FileTaken(CallbookView callbook, int leftOut) {}

    /** The callbook on the network and the one in a file. */
    @GetMapping
    CallbookView view() {
        CallbookRow row = store.row();
        return new CallbookView(
                Callbook.ID,
                row.address,
                row.account,
                store.hasPassword(row),
                store.secretNotice(row),
                row.freshDays,
                store.answers(),
                row.fileName,
                row.fileEntries,
                row.fileReadAt);
    }

    /** Sets up the callbook on the network. */
    @PutMapping
    CallbookView save(@RequestBody CallbookStore.CallbookDraft draft) {
        OnConflict.tryAgain(() -> store.save(draft));
        return view();
    }

    /** Asks the callbook about a call if what is known is old; waits for its answer. */
    @StoresNothing
    @PostMapping("/find")
    Callbook.Lookup find(@RequestParam("call") String text) {
        return callbook.find(call(text));
    }

    /** The picture a callbook has of a station. */
    @GetMapping("/picture")
    ResponseEntity<byte[]> picture(@RequestParam("call") String text) {
        CallbookStore.Picture picture =
                store.picture(call(text)).orElseThrow(() -> Rejection.notThere("There is no picture."));
        return ResponseEntity.ok()
                .contentType(MediaType.parseMediaType(picture.type()))
                .cacheControl(CacheControl.maxAge(PICTURE_STAYS).cachePrivate())
                .header("X-Content-Type-Options", "nosniff")
                .body(picture.content());
    }

    /** Puts a file in the place of the one before. */
    @PostMapping("/file")
    FileTaken takeFile(@RequestParam("file") MultipartFile file) throws IOException {
        CallbookFile.Content content = CallbookFile.read(file.getInputStream());
        String name = file.getOriginalFilename() == null ? "callbook" : file.getOriginalFilename();
        store.takeFile(name.substring(0, Math.min(200, name.length())), content.entries());
        return new FileTaken(view(), content.leftOut());
    }

    /** Forgets the callbook in a file. */
    @DeleteMapping("/file")
    CallbookView dropFile() {
        store.dropFile();
        return view();
    }

    /** Forgets what was answered, so that everything is asked anew. */
    @DeleteMapping("/answers")
    CallbookView forgetAnswers() {
        store.forgetAnswers();
        return view();
    }

    private static Call call(String text) {
        Call call = Call.read(text);
        if (call == null) {
            throw new Rejection("call", "\"" + text + "\" is not a call.");
        }
        return call;
    }
}
