package yokebar.app.operate.net.mark;

import yokebar.core.operate.net.CheckInMark;
import yokebar.core.operate.net.MarkWords;

/**
 * The words that are typed for what a station says of itself.
 *
 * @param traffic it has a message to pass on, or asks for something
 * @param early it has to leave soon
 * @param listening it only listens
 */
public record MarkWordsView(String traffic, String early, String listening) {
    public static MarkWordsView of(MarkWords words) {
        return new MarkWordsView(
                words.of(CheckInMark.TRAFFIC), words.of(CheckInMark.EARLY), words.of(CheckInMark.LISTENING));
    }
}
