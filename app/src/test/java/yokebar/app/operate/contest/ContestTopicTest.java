package yokebar.app.operate.contest;

import static org.mockito.ArgumentMatchers.eq;
import static org.mockito.Mockito.mock;
import static org.mockito.Mockito.times;
import static org.mockito.Mockito.verify;
import static org.mockito.Mockito.verifyNoMoreInteractions;

import org.junit.jupiter.api.Test;
import org.mockito.ArgumentMatchers;
import yokebar.app.operate.contest.ContestUpdated.Part;
import yokebar.app.operate.contest.sending.ContestTextsChanged;
import yokebar.app.platform.live.LiveMessage;
import yokebar.app.platform.live.LivePages;

class ContestTopicTest {
    private final LivePages pages = mock();
    private final ContestTopic topic = new ContestTopic(pages);

    private void sent(String message) {
        verify(pages)
                .send(
                        ArgumentMatchers.<LiveMessage<LiveMessage.Signal>>argThat(
                                one -> one.name().equals(message)),
                        eq(new LiveMessage.Signal()));
    }

    @Test
    void contactsAreToldForThemselvesSoThatNothingElseIsReadWithEachOfThem() {
        topic.updated(new ContestUpdated(Part.CONTACTS));
        topic.updated(new ContestUpdated(Part.CONTACTS));
        verify(pages, times(2)).due(topic);
        topic.send(pages);
        sent("contest-contacts");
        topic.send(pages);
        verifyNoMoreInteractions(pages);
    }

    @Test
    void booksAndTextsAreToldAsOne() {
        topic.updated(new ContestUpdated(Part.BOOKS));
        topic.textsChanged(new ContestTextsChanged());
        topic.send(pages);
        verify(pages, times(2)).due(topic);
        sent("contest");
        verifyNoMoreInteractions(pages);
    }
}
