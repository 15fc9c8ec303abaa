package yokebar.app.operate.picture;

import java.awt.image.BufferedImage;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.StandardCopyOption;
import java.time.Clock;
import java.time.ZoneOffset;
import java.time.format.DateTimeFormatter;
import java.util.LinkedHashMap;
import java.util.Locale;
import java.util.Map;
import java.util.Objects;
import javax.imageio.ImageIO;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Service;
import yokebar.app.log.store.ContactEditing;
import yokebar.app.platform.rejection.Rejection;
import yokebar.app.station.position.ContactSetting;
import yokebar.app.station.position.Positions;
import yokebar.app.station.profile.Station;
import yokebar.app.station.profile.StationView;
import yokebar.core.basics.picture.Picture;
import yokebar.core.basics.picture.UnreadablePictureException;
import yokebar.core.operate.picture.ReplyLayout;
import yokebar.core.operate.picture.ReplyPicture;
import yokebar.core.operate.picture.ReplyWords;

/** Draws replies and puts them into the folder from which a program transmits. Nothing is transmitted by that. */
@Service
class Replies {
    private static final int MAX_TEXT = 80;
    private static final DateTimeFormatter STAMP =
            DateTimeFormatter.ofPattern("yyyyMMdd-HHmmss", Locale.ROOT).withZone(ZoneOffset.UTC);

    private final OwnPictures ownPictures;
    private final ReceivedPictures received;
    private final PictureSetup setup;
    private final Positions positions;
    private final Station station;
    private final ContactEditing contacts;
    private final Clock clock;

    Replies(
            OwnPictures ownPictures,
            ReceivedPictures received,
            PictureSetup setup,
            Positions positions,
            Station station,
            ContactEditing contacts,
            Clock clock) {
        this.ownPictures = ownPictures;
        this.received = received;
        this.setup = setup;
        this.positions = positions;
        this.station = station;
        this.contacts = contacts;
        this.clock = clock;
    }

    /**
     * A reply to be drawn.
     *
     * @param layout as it is on the page, stored or not
     * @param call the other station's call
     * @param name the other operator's name
     * @param reportSent the report given
     * @param reportReceived the report received, for the contact
     * @param words a line for this picture alone
     * @param ownPictureId the operator's picture it is drawn on; null for a plain ground
     * @param receivedId the received picture it answers; null for none
     * @param contactId the contact that gets both reports; null for none
     * @param positionId from where it is sent; null for the first position
     */
    record ReplyRequest(
            ReplyLayout layout,
            String call,
            String name,
            String reportSent,
            String reportReceived,
            String words,
            @Nullable Long ownPictureId,
            @Nullable Long receivedId,
            @Nullable Long contactId,
            @Nullable Long positionId) {}

    /** The reply as a PNG picture. */
    byte[] draw(ReplyRequest request) {
        String problem = request.layout().problem();
        if (problem != null) {
            throw new Rejection("layout", problem);
        }
        for (String text : new String[] {
            request.call(), request.name(), request.reportSent(), request.reportReceived(), request.words()
        }) {
            if (text.length() > MAX_TEXT) {
                throw new Rejection("words", "A text has at most " + MAX_TEXT + " characters.");
            }
        }
        BufferedImage own = request.ownPictureId() == null ? null : image(ownPictures.content(request.ownPictureId()));
        BufferedImage inset = request.receivedId() == null
                ? null
                : image(received.content(request.receivedId()).bytes());
        return png(ReplyPicture.draw(request.layout(), words(request), own, inset));
    }

    /**
     * Draws the reply into the folder, and puts both reports into the contact.
     *
     * @return the name of the file
     */
    String write(ReplyRequest request) {
        String folder = setup.settings().replyFolder();
        if (folder.isEmpty()) {
            throw new Rejection("replyFolder", "Choose the folder from which your picture program transmits.");
        }
        byte[] png = draw(request);
        String call = request.call().toUpperCase(Locale.ROOT).replaceAll("[^A-Z0-9]+", "-");
        String name = "reply-" + (call.isEmpty() ? "" : call + "-") + STAMP.format(clock.instant()) + ".png";
        Path file = Path.of(folder).resolve(name);
        try {
            // A program that watches the folder must never see half a picture.
            Path unfinished = Files.createTempFile(Path.of(folder), ".reply", ".part");
            try {
                Files.write(unfinished, png);
                Files.move(unfinished, file, StandardCopyOption.ATOMIC_MOVE);
            } finally {
                Files.deleteIfExists(unfinished);
            }
        } catch (IOException e) {
            throw Rejection.notPossibleNow("The reply could not be written into " + folder
                    + ". Is the folder there, and may it be written? (" + e.getMessage() + ")");
        }
        noteReports(request);
        return name;
    }

    private void noteReports(ReplyRequest request) {
        Map<String, @Nullable String> reports = new LinkedHashMap<>();
        if (!request.reportSent().isBlank()) {
            reports.put("RST_SENT", request.reportSent().strip());
        }
        if (!request.reportReceived().isBlank()) {
            reports.put("RST_RCVD", request.reportReceived().strip());
        }
        if (request.contactId() != null && !reports.isEmpty()) {
            contacts.correct(request.contactId(), reports);
        }
    }

    private ReplyWords words(ReplyRequest request) {
        ContactSetting setting = positions.settingAt(request.positionId());
        String place = station.view().places().stream()
                .filter(one -> Objects.equals(one.id(), setting.placeId()))
                .map(StationView.PlaceView::name)
                .findFirst()
                .orElse("");
        String locator = setting.fields().get("MY_GRIDSQUARE");
        return new ReplyWords(
                request.call().strip().toUpperCase(Locale.ROOT),
                request.name().strip(),
                setting.ownCall() == null ? "" : setting.ownCall().text(),
                request.reportSent().strip(),
                place,
                locator == null ? "" : locator,
                request.words().strip());
    }

    private static BufferedImage image(byte[] content) {
        try {
            return Picture.read(content).image();
        } catch (UnreadablePictureException e) {
            throw new Rejection("picture", e.sentence());
        }
    }

    private static byte[] png(BufferedImage image) {
        try {
            ByteArrayOutputStream bytes = new ByteArrayOutputStream();
            ImageIO.write(image, "png", bytes);
            return bytes.toByteArray();
        } catch (IOException e) {
            throw new UncheckedIOException("writing to memory failed", e);
        }
    }
}
