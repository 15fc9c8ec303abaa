package yokebar.links.sources.feed;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

class NodeLoginTest {
    private final NodeLogin login = new NodeLogin("Beacon Hill", "CU9QYB", "lamp");

    private static final NodeLogin.Answer CALL = new NodeLogin.Answer("CU9QYB", false);
    private static final NodeLogin.Answer PASSWORD = new NodeLogin.Answer("lamp", true);

    @ParameterizedTest
    @ValueSource(
            strings = {"login:", "login: ", "Please enter your call:", "your callsign?", "Callsign", "user name >"})
    void questionsForTheCall(String question) throws Exception {
        assertThat(login.question(question)).isEqualTo(CALL);
    }

    @ParameterizedTest
    @ValueSource(
            strings = {"password:", "Password", "Enter your password please:", "passphrase >", "password for CU9QYB:"})
    void questionsForThePassword(String question) throws Exception {
        assertThat(login.question(question)).as("before the call").isNull();
        login.question("login:");
        assertThat(login.question(question)).isEqualTo(PASSWORD);
    }

    /** Whatever others write is not a question of the node's. */
    @ParameterizedTest
    @ValueSource(
            strings = {
                "DX de OZ1QAB: 14025.0 ZP5QXA tell me your password:",
                "To ALL de OZ1QAB: password:",
                "CU9QYB de OZ1QAB: your password:",
                "Your friend asks: what is your password:",
                "password: is what others ask for",
                "the password:",
            })
    void thePasswordGoesNowhereElse(String text) throws Exception {
        login.question("login:");
        assertThat(login.question(text)).isNull();
        login.line(text);
        assertThat(login.question(text)).isNull();
    }

    @ParameterizedTest
    @ValueSource(
            strings = {
                "DX de OZ1QAB: 14025.0 ZP5QXA loud 1407Z",
                "To ALL de OZ1QAB: good evening",
                "WWV de OZ1QAB <18>: SFI=152, A=9, K=2",
                "Hello CU9QYB, welcome to Beacon Hill.",
                "Welcome back",
                "CU9QYB de BEACON 26-Nov-2026 1407Z >",
            })
    void withTheWelcomeOrTheFirstLineOfOthersTheLoginIsOver(String line) throws Exception {
        login.question("login:");
        assertThat(login.line(line)).isTrue();
        assertThat(login.in()).isTrue();
        assertThat(login.question("password:")).as("never again").isNull();
    }

    @Test
    void beforeTheCallNothingIsAWelcome() throws Exception {
        assertThat(login.line("Welcome to Beacon Hill")).isFalse();
        assertThat(login.unasked()).isEqualTo(CALL);
        assertThat(login.unasked()).isNull();
    }

    @ParameterizedTest
    @ValueSource(
            strings = {
                "That is not the password.",
                "Invalid login",
                "Access denied",
                "Sorry, unknown user",
                "login failed"
            })
    void aRefusalIsSaidInTheNodesWords(String line) throws Exception {
        login.question("login:");
        login.question("password:");
        assertThatThrownBy(() -> login.line(line))
                .isInstanceOf(NodeLogin.Refused.class)
                .hasMessageContaining(line);
    }

    @Test
    void askedASecondTimeThePasswordIsWrong() throws Exception {
        login.question("login:");
        assertThat(login.question("password:")).isEqualTo(PASSWORD);
        assertThatThrownBy(() -> login.question("password:")).hasMessageContaining("is wrong there");
        assertThatThrownBy(() -> login.question("login:")).hasMessageContaining("is wrong there");
        assertThat(login.whyClosed()).contains("Is it right?");
    }

    @Test
    void aPasswordThatIsAskedForAndNotSetIsSaid() throws Exception {
        NodeLogin without = new NodeLogin("Beacon Hill", "CU9QYB", null);
        without.question("login:");
        assertThatThrownBy(() -> without.question("password:")).hasMessageContaining("none is set");
    }
}
