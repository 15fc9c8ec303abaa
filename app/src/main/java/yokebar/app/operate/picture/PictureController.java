package yokebar.app.operate.picture;

import java.time.Duration;
import org.jspecify.annotations.Nullable;
import org.springframework.http.CacheControl;
import org.springframework.http.ContentDisposition;
import org.springframework.http.HttpHeaders;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;
import yokebar.app.platform.rejection.Rejection;
import yokebar.app.platform.storage.OnConflict;

/** Received pictures over HTTP. */
@RestController
@RequestMapping("/api/pictures")
class PictureController {
    private final ReceivedPictures pictures;
    private final PictureAttaching attaching;
    private final PictureSetup setup;
    private final PictureUpdates updates;

    PictureController(
            ReceivedPictures pictures, PictureAttaching attaching, PictureSetup setup, PictureUpdates updates) {
        this.pictures = pictures;
        this.attaching = attaching;
        this.setup = setup;
        this.updates = updates;
    }

    /**
     * What a picture is attached to.
     *
     * @param contactId a contact in the log
     * @param call instead, the call of the contact that is under way; the picture is attached once that is logged
     */
    record AttachRequest(@Nullable Long contactId, @Nullable String call) {}

    /** @param state {@code WAITING}, {@code KEPT} or {@code HIDDEN} */
    record PictureStateRequest(PictureState state) {}

    /** @param note what the operator wrote about the picture */
    record PictureNoteRequest(String note) {}

    /**
     * Received pictures.
     *
     * @param call only of stations whose call contains this
     * @param offset how many to pass over
     */
    @GetMapping
    ReceivedPictures.PicturePage pictures(
            @RequestParam(defaultValue = "WAITING") PictureState state,
            @RequestParam(defaultValue = "") String call,
            @RequestParam(defaultValue = "TIME") ReceivedPictures.PictureOrder order,
            @RequestParam(defaultValue = "0") int offset,
            @RequestParam(defaultValue = "100") int size) {
        return pictures.page(state, call, order, offset, size);
    }

    /** What is new with received pictures, as the event stream sends it. */
    @GetMapping("/update")
    PictureUpdates.PictureUpdate pictureUpdate() {
        return updates.now();
    }

    /** The folders pictures come from and go to. */
    @GetMapping("/settings")
    PictureSetup.PictureSettings pictureSettings() {
        return setup.settings();
    }

    /** Changes the folders. */
    @PutMapping("/settings")
    PictureSetup.PictureSettings changePictureSettings(@RequestBody PictureSetup.PictureSettings settings) {
        setup.save(settings);
        return setup.settings();
    }

    /** A received picture, with the contacts that it may belong to. */
    @GetMapping("/{id}")
    ReceivedPictures.PictureDetails picture(@PathVariable long id) {
        return pictures.details(id);
    }

    /** The picture as it was received. */
    @GetMapping("/{id}/content")
    ResponseEntity<byte[]> pictureContent(@PathVariable long id) {
        return answer(pictures.content(id));
    }

    /** A small form of the picture. */
    @GetMapping("/{id}/thumbnail")
    ResponseEntity<byte[]> pictureThumbnail(@PathVariable long id) {
        return answer(pictures.thumbnail(id));
    }

    /** What is under an id never changes, so a browser need not ask again. */
    private static ResponseEntity<byte[]> answer(ReceivedPictures.PictureContent content) {
        return ResponseEntity.ok()
                .contentType(MediaType.parseMediaType(content.mediaType()))
                .cacheControl(CacheControl.maxAge(Duration.ofDays(30)).cachePrivate())
                .header("X-Content-Type-Options", "nosniff")
                .header(
                        HttpHeaders.CONTENT_DISPOSITION,
                        ContentDisposition.inline()
                                .filename(content.fileName())
                                .build()
                                .toString())
                .body(content.bytes());
    }

    /** Attaches a picture to a contact. */
    @PostMapping("/{id}/attach")
    ReceivedPictures.PictureDetails attachPicture(@PathVariable long id, @RequestBody AttachRequest request) {
        Long contactId = request.contactId();
        String call = request.call();
        if (contactId == null && call == null) {
            throw new Rejection("contactId", "Choose the contact that the picture belongs to.");
        }
        return after(id, () -> {
            if (contactId != null) {
                attaching.attach(id, contactId);
            } else if (call != null) {
                attaching.attachToCall(id, call);
            }
        });
    }

    /** Takes a picture off its contact. */
    @PostMapping("/{id}/detach")
    ReceivedPictures.PictureDetails detachPicture(@PathVariable long id) {
        return after(id, () -> attaching.detach(id));
    }

    /** Sends this one of the contact's pictures to the services. */
    @PostMapping("/{id}/send")
    ReceivedPictures.PictureDetails sendPicture(@PathVariable long id) {
        return after(id, () -> attaching.sendThis(id));
    }

    /** Keeps a picture without a contact, hides it, or lets it wait again. */
    @PutMapping("/{id}/state")
    ReceivedPictures.PictureDetails changePictureState(
            @PathVariable long id, @RequestBody PictureStateRequest request) {
        return after(id, () -> attaching.putAside(id, request.state()));
    }

    /** Changes the note on a picture. */
    @PutMapping("/{id}/note")
    ReceivedPictures.PictureDetails changePictureNote(@PathVariable long id, @RequestBody PictureNoteRequest request) {
        return after(id, () -> attaching.note(id, request.note()));
    }

    private ReceivedPictures.PictureDetails after(long id, Runnable change) {
        OnConflict.tryAgain(() -> {
            change.run();
            return id;
        });
        return pictures.details(id);
    }
}
