package yokebar.links.sources.radio;

import static org.assertj.core.api.Assertions.assertThat;
import static yokebar.links.LinkWatch.await;

import java.io.IOException;
import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.util.Objects;
import java.util.concurrent.TimeUnit;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;
import yokebar.core.sources.radio.RadioCommand;
import yokebar.core.sources.radio.RadioMode;
import yokebar.core.sources.radio.RadioState;
import yokebar.core.sources.radio.Vfo;
import yokebar.links.fake.FakeRadio;
import yokebar.links.platform.status.LinkState;
import yokebar.links.platform.wire.TcpAddress;

/** Radios that are slow, busy, silent on some questions, or lose their line, and what is shown and sent then. */
class AwkwardRadioTest {
    private FakeRadio radio;
    private RadioLink link;

    @BeforeEach
    void radio() throws IOException {
        radio = new FakeRadio();
    }

    private void connect() {
        connect(Duration.ofMinutes(5));
    }

    private void connect(Duration keyingLimit) {
        link = new RadioLink(
                "Fake",
                new TcpAddress("127.0.0.1", radio.port()),
                SemicolonCat::new,
                new RadioLink.Habits(RadioLink.POLL_EVERY, keyingLimit),
                Clock.systemUTC(),
                RadioLink.Listeners.of(state -> {}, status -> {}));
        link.start();
        await("a frequency", () -> link.state().frequencyHz() != null);
    }

    @AfterEach
    void end() {
        if (link != null) {
            link.close();
        }
        radio.close();
    }

    private CommandOutcome tell(RadioCommand command) throws Exception {
        return link.tell(command).get(10, TimeUnit.SECONDS);
    }

    @ParameterizedTest
    @ValueSource(longs = {300, 800})
    void commandToASlowRadioWaitsForOneAnswerAndItIsSaidToBeSlow(long answerMs) throws Exception {
        radio.answerAfter(answerMs);
        connect();
        await("slow", () -> link.status().state() == LinkState.SLOW);
        assertThat(link.status().brief()).matches("slow, \\d\\.\\d s");
        assertThat(link.status().reason()).contains("Fake takes");
        for (int i = 1; i <= 5; i++) {
            long hz = 14_000_000L + i * 1000;
            radio.forgetHeard();
            link.tell(new RadioCommand.Tune(Vfo.A, hz));
            await("obeyed", () -> radio.vfoA() == hz);
            // The question under way, at most, comes before the command.
            assertThat(radio.heard().stream().takeWhile(sentence -> !sentence.startsWith("FA0")))
                    .as("command %d", i)
                    .hasSizeLessThanOrEqualTo(1);
        }
        radio.answerAfter(0);
        await("quick again", () -> link.status().state() == LinkState.LIVE);
    }

    private void key() {
        link.keying().press(this);
        await("keyed", radio::transmits);
    }

    private void loseLine() throws IOException {
        radio.accept(false);
        radio.dropLine();
        await("lost", () -> link.status().state() == LinkState.TROUBLE);
    }

    @Test
    void oneQuestionIsOutstandingHoweverLongItTakes() {
        radio.answerAfter(400);
        connect();
        radio.forgetHeard();
        long from = System.nanoTime();
        await("ten sentences", () -> radio.heard().size() >= 6);
        assertThat((System.nanoTime() - from) / 1_000_000)
                .as("it is not asked quicker than it answers")
                .isGreaterThan(5 * 400 - 300);
    }

    @Test
    void receiveOvertakesEverythingOfASlowRadio() throws Exception {
        radio.answerAfter(300);
        connect();
        assertThat(link.keying().press(this)).isEqualTo(Keying.Answer.YES);
        await("keyed", radio::transmits);
        for (int i = 0; i < 20; i++) {
            link.tell(new RadioCommand.SetPower(i));
            link.tell(new RadioCommand.Tune(Vfo.A, 14_000_000 + i));
        }
        radio.forgetHeard();
        link.keying().release(this);
        await("receiving", () -> !radio.transmits());
        assertThat(radio.heard().stream().takeWhile(sentence -> !sentence.equals("RX")))
                .as("before the receive, besides what was under way")
                .hasSizeLessThanOrEqualTo(1);
    }

    @Test
    void refusalsWhileBusyEndNothingForGood() {
        connect();
        await("power", () -> Objects.equals(link.state().powerW(), 80));
        radio.refuse(sentence -> true);
        await(
                "nothing known any more",
                () -> link.state().frequencyHz() == null && link.state().powerW() == null);
        assertThat(link.state().mode()).isNull();
        await("said", () -> "tells no frequency".equals(link.status().brief()));
        radio.refuse(sentence -> false);
        radio.setWatts(25);
        await(
                "all back",
                () -> link.state().frequencyHz() != null
                        && Objects.equals(link.state().powerW(), 25));
        await("live", () -> link.status().state() == LinkState.LIVE);
    }

    @Test
    void refusedCommandSaysSoAndBlamesNoQuestion() throws Exception {
        connect();
        assertThat(tell(new RadioCommand.Tune(Vfo.A, 145_000_000))).isEqualTo(CommandOutcome.REFUSED);
        assertThat(tell(new RadioCommand.Tune(Vfo.A, 14_100_000))).isEqualTo(CommandOutcome.DONE);
        assertThat(link.state().frequencyHz()).isEqualTo(14_100_000);
        radio.refuse(sentence -> sentence.startsWith("FT"));
        assertThat(tell(new RadioCommand.SetSplit(true))).isEqualTo(CommandOutcome.REFUSED);
        radio.ignore(sentence -> sentence.startsWith("PC") && sentence.length() > 2);
        assertThat(tell(new RadioCommand.SetPower(5))).isEqualTo(CommandOutcome.IGNORED);
    }

    @Test
    void unknownModeIsNotShownAsTheLastOne() {
        connect();
        await("CW", () -> link.state().mode() == RadioMode.CW);
        radio.setMode('8');
        await("unknown", () -> link.state().mode() == null);
        assertThat(link.state().frequencyHz()).isEqualTo(14_025_000);
        radio.setMode('2');
        await("USB", () -> link.state().mode() == RadioMode.USB);
    }

    @Test
    void summaryOfAnotherLengthIsReplacedByItsPartsQuestions() {
        radio.bend(answer -> answer.startsWith("IF") ? answer.replace(" ;", "  ;") : answer);
        connect();
        await("mode by its own question", () -> link.state().mode() == RadioMode.CW);
        radio.turnTo(7_010_000);
        await("frequency by its own question", () -> Objects.equals(link.state().frequencyHz(), 7_010_000L));
        assertThat(link.state().split()).isFalse();
        assertThat(link.state().transmitting()).as("nobody told").isNull();
    }

    @Test
    void partNotAnsweredAnyMoreIsForgotten() {
        connect();
        await("power", () -> link.state().powerW() != null);
        radio.ignore(sentence -> sentence.equals("PC"));
        await("forgotten", () -> link.state().powerW() == null);
        assertThat(link.state().frequencyHz()).isNotNull();
        assertThat(link.status().state().works()).isTrue();
    }

    @Test
    void withoutKnowingWhetherAProgramsSoundIsSwitchedInSidebandIsNotClaimed() {
        radio.setMode('2');
        radio.setData(true);
        connect();
        await("data mode", () -> link.state().mode() == RadioMode.DATA_U);
        radio.ignore(sentence -> sentence.equals("DA"));
        await("unknown", () -> link.state().mode() == null);
        radio.setMode('3');
        await("CW is CW with and without", () -> link.state().mode() == RadioMode.CW);
    }

    @Test
    void radioThatDoesNotKnowDataModesHasPlainOnes() {
        radio.setMode('2');
        radio.refuse(sentence -> sentence.startsWith("DA"));
        connect();
        await("USB", () -> link.state().mode() == RadioMode.USB);
    }

    @Test
    void atConnectingReceiveComesBeforeAnythingElse() {
        radio.key(true);
        connect();
        assertThat(radio.heard().get(0)).isEqualTo("RX");
        await("receiving", () -> !radio.transmits());
    }

    @Test
    void closingReleasesTheKey() {
        connect();
        key();
        link.close();
        assertThat(radio.transmits()).isFalse();
    }

    @Test
    void closingReleasesTheKeyOfASlowRadioToo() {
        radio.answerAfter(300);
        connect();
        key();
        link.close();
        await("receiving", () -> !radio.transmits());
    }

    @Test
    void lostLineLosesTheRightToTransmitAndReceiveIsSentFirstWhenItIsBack() throws Exception {
        connect();
        key();
        loseLine();
        assertThat(link.keying().owner()).isNull();
        assertThat(radio.transmits()).isTrue();
        radio.forgetHeard();
        radio.accept(true);
        await("receiving", () -> !radio.transmits());
        assertThat(radio.heard().get(0)).isEqualTo("RX");
        await("there again", () -> link.state().frequencyHz() != null);
        assertThat(radio.transmits()).as("not keyed again by itself").isFalse();
    }

    @Test
    void closedWhileTheLineIsDownItIsStillSetToReceive() throws Exception {
        connect();
        key();
        loseLine();
        radio.accept(true);
        link.close();
        await("receiving", () -> !radio.transmits());
    }

    @Test
    void limitEndsATransmissionAndTheKeyRestsAfterwards() {
        connect(Duration.ofMillis(700));
        key();
        await("released", () -> !radio.transmits());
        assertThat(radio.longestMs()).isBetween(200L, 1700L);
        assertThat(link.keying().takeStopped()).isSameAs(this);
        assertThat(link.keying().press(this)).isEqualTo(Keying.Answer.RESTING);
        assertThat(link.keying().press("another")).isEqualTo(Keying.Answer.RESTING);
        assertThat(radio.transmits()).isFalse();
    }

    @Test
    void receiveThatIsRefusedIsSentAgainUntilTheRadioReceives() {
        connect();
        key();
        radio.refuse(sentence -> sentence.equals("RX"));
        link.keying().release(this);
        await("tried", () -> radio.heard().stream().filter("RX"::equals).count() >= 4);
        radio.refuse(sentence -> false);
        await("receiving", () -> !radio.transmits());
    }

    @Test
    void answersInPiecesAreReadAll() {
        radio.fragment(true);
        connect();
        for (int i = 0; i < 10; i++) {
            long hz = 14_000_000 + i * 1000L;
            radio.turnTo(hz);
            await("read", () -> Objects.equals(link.state().frequencyHz(), hz));
        }
        assertThat(link.status().state().works()).isTrue();
    }

    @Test
    void lastDataIsTheLastAnswer() {
        connect();
        Instant first = Objects.requireNonNull(link.status().lastData());
        await(
                "a later answer",
                () -> first.isBefore(Objects.requireNonNull(link.status().lastData())));
        radio.ignore(sentence -> true);
        Instant asked = Instant.now();
        await("silent", () -> link.status().state() == LinkState.TROUBLE);
        Instant last = Objects.requireNonNull(link.status().lastData());
        assertThat(last).as("nothing came since").isBefore(asked.plusMillis(500));
    }

    @Test
    void forgottenWhenClosed() {
        connect();
        link.close();
        assertThat(link.state()).isEqualTo(RadioState.UNKNOWN);
    }
}
