package yokebar.app.operate.picture;

import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Clock;
import java.util.Locale;
import java.util.Set;
import java.util.function.Supplier;
import yokebar.app.sources.hookup.LinkCoupling;
import yokebar.links.platform.status.LinkStatus;
import yokebar.links.sources.followed.FolderFollower;

/** The folder in which a program leaves the pictures it receives, as a coupling. */
final class PictureFolder extends LinkCoupling<FolderFollower> {
    static final String ID = "received-pictures";

    /** More kinds than are taken, so that a file of another kind is named instead of passed over. */
    private static final Set<String> ENDINGS = Set.of("png", "jpg", "jpeg", "bmp", "gif", "svg", "webp", "tif", "tiff");

    private final Path folder;
    private final Supplier<FolderFollower> followers;

    /** @param followers makes a follower each time the folder is connected */
    PictureFolder(Path folder, Clock clock, Supplier<FolderFollower> followers) {
        super(ID, Kind.PROGRAM, "Pictures", clock);
        this.folder = folder;
        this.followers = followers;
    }

    /** Whether a file may be a picture, by its name; a program's temporary files begin with a dot. */
    static boolean mayBePicture(Path file) {
        String name = String.valueOf(file.getFileName()).toLowerCase(Locale.ROOT);
        return !name.startsWith(".") && ENDINGS.contains(name.substring(name.lastIndexOf('.') + 1));
    }

    @Override
    public String where() {
        return folder.toString();
    }

    @Override
    protected FolderFollower newLink() {
        return followers.get();
    }

    @Override
    public Proof test() {
        if (Files.isDirectory(folder) && Files.isReadable(folder)) {
            return new Proof(true, folder + " can be read.");
        }
        LinkStatus status = status();
        return new Proof(
                false, status.reason() == null ? folder + " cannot be read." : status.reason() + " " + status.fix());
    }
}
