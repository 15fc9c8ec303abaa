package yokebar.app.sources.intake;

import java.io.IOException;
import java.io.InputStream;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;
import org.springframework.web.multipart.MultipartFile;

/** Importing an ADI file over HTTP. */
@RestController
@RequestMapping("/api/imports")
class ImportController {
    private final AdiImport files;

    ImportController(AdiImport files) {
        this.files = files;
    }

    /** Imports an ADI file without a preview. */
    @PostMapping
    AdiImport.ImportResult importFile(@RequestParam("file") MultipartFile file) throws IOException {
        String name = file.getOriginalFilename();
        try (InputStream in = file.getInputStream()) {
            return files.take(in, name == null ? "upload" : name);
        }
    }
}
