package yokebar.app.operate.picture;

import java.io.IOException;
import java.util.List;
import java.util.Objects;
import org.springframework.http.CacheControl;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
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
import yokebar.app.platform.storage.StoresNothing;
import yokebar.core.basics.picture.PictureFormat;
import yokebar.core.operate.picture.ReplyLayout;

/** Reply pictures over HTTP. */
@RestController
@RequestMapping("/api/picture-replies")
class ReplyController {
    private final Replies replies;
    private final ReplyLayouts layouts;
    private final OwnPictures ownPictures;

    ReplyController(Replies replies, ReplyLayouts layouts, OwnPictures ownPictures) {
        this.replies = replies;
        this.layouts = layouts;
        this.ownPictures = ownPictures;
    }

    /** @param fileName of the picture in the folder from which the program transmits */
    record ReplyWritten(String fileName) {}

    /** The reply as it would be written, as a PNG picture. */
    @PostMapping("/preview")
    @StoresNothing
    ResponseEntity<byte[]> previewReply(@RequestBody Replies.ReplyRequest request) {
        return picture("image/png", replies.draw(request));
    }

    /** Writes the reply into the folder from which the program transmits, and the reports into the contact. */
    @PostMapping
    ReplyWritten writeReply(@RequestBody Replies.ReplyRequest request) {
        return new ReplyWritten(replies.write(request));
    }

    /** The layouts of replies. */
    @GetMapping("/layouts")
    List<ReplyLayouts.StoredLayout> replyLayouts() {
        return layouts.all();
    }

    /** Stores a layout, in the place of the one of the same name. */
    @PutMapping("/layouts")
    List<ReplyLayouts.StoredLayout> saveReplyLayout(@RequestBody ReplyLayout layout) {
        layouts.save(layout);
        return layouts.all();
    }

    /** Deletes a layout; one of those to begin with is as it was again. */
    @DeleteMapping("/layouts")
    List<ReplyLayouts.StoredLayout> deleteReplyLayout(@RequestParam String name) {
        layouts.remove(name);
        return layouts.all();
    }

    /** The operator's own pictures. */
    @GetMapping("/own-pictures")
    List<OwnPictures.OwnPicture> ownPictures() {
        return ownPictures.all();
    }

    /** Adds a picture of the operator's own. */
    @PostMapping("/own-pictures")
    List<OwnPictures.OwnPicture> addOwnPicture(@RequestParam("file") MultipartFile file) throws IOException {
        ownPictures.add(Objects.requireNonNullElse(file.getOriginalFilename(), "picture"), file.getBytes());
        return ownPictures.all();
    }

    /** Deletes a picture of the operator's own. */
    @DeleteMapping("/own-pictures/{id}")
    List<OwnPictures.OwnPicture> deleteOwnPicture(@PathVariable long id) {
        ownPictures.remove(id);
        return ownPictures.all();
    }

    /** A picture of the operator's own. */
    @GetMapping("/own-pictures/{id}")
    ResponseEntity<byte[]> ownPicture(@PathVariable long id) {
        byte[] content = ownPictures.content(id);
        PictureFormat format = Objects.requireNonNull(PictureFormat.of(content), "it was read when it was stored");
        return picture(format.mediaType(), content);
    }

    private static ResponseEntity<byte[]> picture(String mediaType, byte[] content) {
        return ResponseEntity.ok()
                .contentType(MediaType.parseMediaType(mediaType))
                .cacheControl(CacheControl.noStore())
                .header("X-Content-Type-Options", "nosniff")
                .body(content);
    }
}
