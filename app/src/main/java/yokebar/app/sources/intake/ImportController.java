package yokebar.app.sources.intake;

import java.io.IOException;
import java.io.InputStream;
import org.jspecify.annotations.Nullable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;
import org.springframework.web.multipart.MultipartFile;
import yokebar.app.platform.rejection.Rejection;
import yokebar.core.log.exchange.LogText;

/** Importing a log file over HTTP. */
@RestController
@RequestMapping("/api/imports")
class ImportController {
    private static final long MAX_BOOK_BYTES = 256L << 20;

    private final LogImport files;
    private final BookImports books;

    ImportController(LogImport files, BookImports books) {
        this.files = files;
        this.books = books;
    }

    /**
     * Imports an ADI file without a preview; with a contest book, an ADI, ADX or Cabrillo file into it.
     *
     * @param contestBook the contest book it goes into; records that belong elsewhere are refused then
     */
    @PostMapping
    LogImport.ImportResult importFile(
            @RequestParam("file") MultipartFile file, @RequestParam(required = false) @Nullable Long contestBook)
            throws IOException {
        String name = file.getOriginalFilename() == null ? "upload" : file.getOriginalFilename();
        try (InputStream in = file.getInputStream()) {
            return contestBook == null
                    ? files.take(in, name)
                    : files.take(books.intoBook(new LogText(in, MAX_BOOK_BYTES), contestBook), name);
        } catch (LogText.NoLog e) {
            throw new Rejection("file", String.valueOf(e.getMessage()));
        }
    }
}
