package yokebar.app.operate.picture;

import java.util.List;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Component;

/** What is new with received pictures, for pages that open and pages that are open. */
@Component
class PictureUpdates {
    private final ReceivedPictures pictures;
    private final PictureProblems problems;

    PictureUpdates(ReceivedPictures pictures, PictureProblems problems) {
        this.pictures = pictures;
        this.problems = problems;
    }

    /**
     * What is new with received pictures.
     *
     * @param latest the latest one about which nothing was decided yet; null for none
     * @param problems files in the folder that were not taken, the latest first
     */
    record PictureUpdate(@Nullable PictureView latest, List<PictureProblems.PictureProblem> problems) {}

    PictureUpdate now() {
        return new PictureUpdate(pictures.latestWaiting(), problems.all());
    }
}
