package yokebar.app.station.settings;

import java.io.IOException;
import org.springframework.http.HttpHeaders;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;
import org.springframework.web.multipart.MultipartFile;

/** The settings file over HTTP. */
@RestController
@RequestMapping("/api/settings")
class SettingsController {
    private final SettingsFile file;

    SettingsController(SettingsFile file) {
        this.file = file;
    }

    /** All settings in one file, without passwords. */
    @GetMapping(produces = MediaType.APPLICATION_JSON_VALUE)
    ResponseEntity<String> save() {
        return ResponseEntity.ok()
                .header(HttpHeaders.CONTENT_DISPOSITION, "attachment; filename=\"yokebar-settings.json\"")
                .body(file.save());
    }

    /** Takes settings from a file. */
    @PostMapping
    SettingsFile.Restored restore(@RequestParam("file") MultipartFile upload) throws IOException {
        return file.restore(upload.getBytes());
    }
}
