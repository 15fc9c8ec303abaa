package yokebar.standins.device;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import yokebar.standins.Conversation;
import yokebar.standins.Patience;

/** The rotator that speaks Easycomm II and takes its time. */
class RotatorTest {
    private Rotator rotator;
    private Conversation computer;

    @BeforeEach
    void switchOn() throws IOException {
        rotator = new Rotator(0);
        computer = new Conversation(rotator.port());
    }

    @AfterEach
    void switchOff() throws IOException {
        computer.close();
        rotator.close();
    }

    private String asked(String line) throws IOException {
        computer.say(line + "\n");
        return computer.line();
    }

    private void settle() {
        Patience.until("it to stand still", () -> !rotator.turning());
    }

    @Test
    void itTellsWhereItStands() throws IOException {
        assertThat(asked("AZ")).isEqualTo("AZ0.0");
        assertThat(asked("AZ EL")).isEqualTo("AZ0.0 EL0.0");
        assertThat(asked("VE")).isEqualTo("VEWindrose-1");
    }

    @Test
    void itTurnsWhereItIsToldTheWayItsStopAllows() throws IOException {
        rotator.setSpeed(100_000);
        assertThat(asked("AZ170 AZ")).startsWith("AZ");
        settle();
        assertThat(rotator.angle()).isEqualTo(170);
        assertThat(rotator.position())
                .as("over north, for its stop is at south")
                .isEqualTo(530);
        assertThat(asked("AZ190.5 AZ")).startsWith("AZ");
        settle();
        assertThat(rotator.position()).isEqualTo(190.5);
    }

    @Test
    void itTakesItsTimeAndStopsWhenTold() throws IOException {
        rotator.setSpeed(30);
        computer.say("AZ90\n");
        Patience.until("it to move", () -> rotator.turning() && rotator.angle() > 1);
        asked("SA SE AZ");
        assertThat(rotator.turning()).isFalse();
        assertThat(rotator.angle()).isBetween(1.0, 89.0);
    }

    @Test
    void stuckItTakesCommandsAndStays() throws IOException {
        rotator.setSpeed(100_000);
        rotator.setStuck(true);
        asked("AZ90 AZ");
        assertThat(rotator.angle()).isZero();
        assertThat(rotator.turning()).isTrue();
        rotator.setStuck(false);
        settle();
        assertThat(rotator.angle()).isEqualTo(90);
        assertThat(rotator.state()).containsEntry("angle", 90.0).containsEntry("target", 90.0);
    }

    @Test
    void elevationStaysWithinReach() throws IOException {
        assertThat(asked("EL45 EL")).isEqualTo("EL45.0");
        assertThat(asked("EL400 EL")).isEqualTo("EL180.0");
        assertThat(asked("EL-3 EL")).isEqualTo("EL0.0");
    }

    @Test
    void nonsenseIsPassedOver() throws IOException {
        assertThat(asked("AZnorth XX " + "y".repeat(100) + " VE")).isEqualTo("VEWindrose-1");
        assertThat(rotator.turning()).isFalse();
    }

    @Test
    void withoutPowerItNeitherTurnsNorSpeaks() throws IOException {
        rotator.setSpeed(100_000);
        rotator.setPowered(false);
        computer.say("AZ90 AZ\n");
        computer.silence();
        rotator.setPowered(true);
        assertThat(asked("VE")).isEqualTo("VEWindrose-1");
        assertThat(rotator.angle()).isZero();
        rotator.setPlugged(false);
        assertThat(computer.rest()).isEmpty();
        assertThat(rotator.state()).containsEntry("plugged", false);
    }
}
