package yokebar.app.services.delivery.picture;

import java.io.IOException;
import java.util.Objects;
import org.springframework.http.CacheControl;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.web.bind.annotation.DeleteMapping;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;
import org.springframework.web.multipart.MultipartFile;
import yokebar.app.platform.storage.OnConflict;

/** Pictures put to contacts, over HTTP. */
@RestController
@RequestMapping("/api/contacts/{id}/picture")
class ContactPictureController {
    private final ContactPictures pictures;

    ContactPictureController(ContactPictures pictures) {
        this.pictures = pictures;
    }

    /** Where the picture of a contact stands at the services that show pictures. */
    @GetMapping("/standing")
    ContactPictures.Standing standing(@PathVariable long id) {
        return pictures.standing(id);
    }

    /** The picture of a contact. */
    @GetMapping
    ResponseEntity<byte[]> content(@PathVariable long id) {
        ContactPicture picture = pictures.get(id);
        return ResponseEntity.ok()
                .contentType(MediaType.parseMediaType(picture.contentType))
                .cacheControl(CacheControl.noStore())
                .header("X-Content-Type-Options", "nosniff")
                .body(Objects.requireNonNull(picture.content));
    }

    /** Puts a picture to a contact. */
    @PostMapping
    ContactPictures.Standing put(@PathVariable long id, @RequestParam("file") MultipartFile file) throws IOException {
        byte[] content = file.getBytes();
        OnConflict.tryAgain(() -> {
            pictures.put(id, content, null);
            return id;
        });
        return pictures.standing(id);
    }

    /** Removes the picture of a contact. */
    @DeleteMapping
    ContactPictures.Standing remove(@PathVariable long id) {
        OnConflict.tryAgain(() -> {
            pictures.takeAway(id);
            return id;
        });
        return pictures.standing(id);
    }
}
