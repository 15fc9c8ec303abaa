package yokebar.app.operate.picture;

import jakarta.persistence.EntityManager;
import java.io.IOException;
import java.io.InputStream;
import java.nio.file.Files;
import java.nio.file.LinkOption;
import java.nio.file.NoSuchFileException;
import java.nio.file.Path;
import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.Function;
import java.util.stream.Collectors;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.context.ApplicationEventPublisher;
import org.springframework.stereotype.Service;
import org.springframework.transaction.support.TransactionTemplate;
import yokebar.app.sources.radio.Radios;
import yokebar.core.basics.mode.Mode;
import yokebar.core.basics.picture.Picture;
import yokebar.core.basics.picture.PictureScaling;
import yokebar.core.basics.picture.UnreadablePictureException;
import yokebar.core.basics.text.Sha256;
import yokebar.core.sources.radio.RadioCompletion;
import yokebar.core.sources.radio.RadioMode;
import yokebar.links.sources.followed.FolderFollower;
import yokebar.links.sources.followed.FoundFile;

/** Stores the pictures that appear in the folder: each content once, whatever its file is called. */
@Service
class PictureIntake implements FolderFollower.Receiver {
    private static final Logger LOG = LoggerFactory.getLogger(PictureIntake.class);
    private static final int THUMBNAIL_SIDE = 240;
    /** A file found later than this after it was written says nothing of where the radio was then. */
    private static final Duration RADIO_STILL_THERE = Duration.ofMinutes(2);

    private final EntityManager db;
    private final TransactionTemplate transaction;
    private final Radios radios;
    private final PictureProblems problems;
    private final ApplicationEventPublisher events;
    private final Clock clock;

    PictureIntake(
            EntityManager db,
            TransactionTemplate transaction,
            Radios radios,
            PictureProblems problems,
            ApplicationEventPublisher events,
            Clock clock) {
        this.db = db;
        this.transaction = transaction;
        this.radios = radios;
        this.problems = problems;
        this.events = events;
        this.clock = clock;
    }

    /** The files that were stored, as they were then. */
    Map<Path, FoundFile> known() {
        return transaction.execute(
                status -> db.createQuery("from ReceivedPictureRow order by id", ReceivedPictureRow.class)
                        .getResultStream()
                        .map(ReceivedPictureRow::file)
                        .collect(Collectors.toMap(FoundFile::path, Function.identity(), (older, newer) -> newer)));
    }

    /** A file that was read and is about to be stored. */
    private record Received(FoundFile file, Picture picture, String sha256, byte[] thumbnail, byte[] content) {}

    @Override
    public void take(List<FoundFile> files) {
        List<Received> received = files.parallelStream()
                .map(this::readOrSayWhyNot)
                .flatMap(Optional::stream)
                .toList();
        if (!received.isEmpty()) {
            transaction.executeWithoutResult(status -> store(received));
            events.publishEvent(new PicturesChanged());
        }
    }

    private Optional<Received> readOrSayWhyNot(FoundFile file) {
        try {
            Received received = read(file);
            problems.remove(file.path());
            return Optional.of(received);
        } catch (UnreadablePictureException e) {
            problems.add(file.path(), e.sentence());
        } catch (NoSuchFileException e) {
            LOG.debug("{} was deleted before it was read", file.path());
        } catch (IOException e) {
            problems.add(file.path(), "The file cannot be read: " + e.getMessage() + ".");
        }
        return Optional.empty();
    }

    @Override
    public void gone(Path file) {
        problems.remove(file);
    }

    private static Received read(FoundFile file) throws IOException, UnreadablePictureException {
        if (file.link()) {
            throw new UnreadablePictureException("This is a link to another file; links are not followed.");
        }
        Picture.checkSize(file.size());
        try (InputStream stream = Files.newInputStream(file.path(), LinkOption.NOFOLLOW_LINKS)) {
            byte[] content = stream.readNBytes(Picture.MAX_BYTES + 1);
            Picture picture = Picture.read(content);
            byte[] thumbnail = PictureScaling.thumbnail(picture.image(), THUMBNAIL_SIDE);
            return new Received(file, picture, Sha256.hex(content), thumbnail, content);
        }
    }

    private void store(List<Received> received) {
        Map<String, ReceivedPictureRow> known = new HashMap<>();
        db.createQuery("from ReceivedPictureRow where sha256 in :sha256", ReceivedPictureRow.class)
                .setParameter("sha256", received.stream().map(Received::sha256).toList())
                .getResultStream()
                .forEach(row -> known.put(row.sha256, row));
        for (Received one : received) {
            ReceivedPictureRow row = known.get(one.sha256());
            if (row == null) {
                known.put(one.sha256(), add(one));
            } else if (row.path.equals(one.file().path().toString()) || !Files.exists(Path.of(row.path))) {
                row.file(one.file());
            }
        }
    }

    private ReceivedPictureRow add(Received received) {
        ReceivedPictureRow row = new ReceivedPictureRow();
        row.file(received.file());
        row.sha256 = received.sha256();
        row.mediaType = received.picture().format().mediaType();
        row.width = received.picture().width();
        row.height = received.picture().height();
        Instant now = clock.instant();
        row.receivedAt =
                received.file().modified().isAfter(now) ? now : received.file().modified();
        if (Duration.between(row.receivedAt, now).compareTo(RADIO_STILL_THERE) < 0) {
            noteRadio(row);
        }
        db.persist(row);
        PictureContentRow shown = new PictureContentRow();
        shown.id = row.number();
        shown.thumbnail = received.thumbnail();
        shown.content = received.content();
        db.persist(shown);
        return row;
    }

    private void noteRadio(ReceivedPictureRow row) {
        Long chosen = db.find(PictureSettingsRow.class, PictureSettingsRow.ID).radioId;
        Optional<RadioCompletion.Reading> reading = radios.readings().stream()
                .filter(one -> chosen == null || one.radioId() == chosen)
                .findFirst();
        reading.ifPresent(radio -> {
            Long hz = radio.state().frequencyHz();
            RadioMode set = radio.state().mode();
            Mode mode = hz == null || set == null ? null : radio.mapping().toLog(set, hz);
            row.frequencyHz = hz;
            row.mode = mode == null ? null : mode.label();
        });
    }
}
