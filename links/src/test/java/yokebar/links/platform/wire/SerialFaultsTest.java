package yokebar.links.platform.wire;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.attribute.PosixFileAttributes;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

class SerialFaultsTest {
    @TempDir
    private Path folder;

    @Test
    void withoutPermissionTheGroupAndTheCommandAreNamed() throws IOException {
        Path port = Files.createFile(folder.resolve("port"));
        String group =
                Files.readAttributes(port, PosixFileAttributes.class).group().getName();
        LinkFault fault = SerialFaults.beforeOpening(port.toString(), file -> false);
        assertThat(fault).isNotNull();
        assertThat(fault.kind()).isEqualTo(LinkFault.Kind.NO_PERMISSION);
        assertThat(fault.reason()).isEqualTo("You may not use " + port + ": it belongs to the group " + group + ".");
        assertThat(fault.fix())
                .isEqualTo("Run: sudo usermod -aG " + group + " " + System.getProperty("user.name")
                        + " and log in again.");
    }

    @Test
    void aPortThatIsNotThere() {
        LinkFault fault = SerialFaults.beforeOpening(folder.resolve("none").toString());
        assertThat(fault).isNotNull();
        assertThat(fault.kind()).isEqualTo(LinkFault.Kind.NO_SUCH_PORT);
        assertThat(fault.fix()).contains("Is the cable");
    }

    @Test
    void whatTheSystemSaysWhenOpeningFails() throws IOException {
        String port = Files.createFile(folder.resolve("port")).toString();
        assertThat(SerialFaults.afterOpeningFailed(port, 16).kind()).isEqualTo(LinkFault.Kind.PORT_HELD);
        assertThat(SerialFaults.afterOpeningFailed(port, 13).kind()).isEqualTo(LinkFault.Kind.NO_PERMISSION);
        assertThat(SerialFaults.afterOpeningFailed(port, 5).reason()).contains("system error 5");
    }

    @Test
    void addressesAreRead() {
        assertThat(DeviceAddress.of(" 127.0.0.1:7402 ", null)).isEqualTo(new TcpAddress("127.0.0.1", 7402));
        assertThat(DeviceAddress.of("radio.local:4532", 9600)).isEqualTo(new TcpAddress("radio.local", 4532));
        assertThat(DeviceAddress.of("/dev/ttyUSB0", 38_400)).isEqualTo(new SerialAddress("/dev/ttyUSB0", 38_400));
        assertThat(DeviceAddress.of("COM3", 4800).words()).isEqualTo("COM3 at 4 800 baud");
    }

    @ParameterizedTest
    @ValueSource(strings = {"", "nowhere", "host:", "host:0", "host:70000", ":7402"})
    void whatIsNoAddressIsSaidToBeNone(String text) {
        assertThatThrownBy(() -> DeviceAddress.of(text, null)).hasMessageContaining("is not an address");
    }

    @Test
    void aSerialPortNeedsASpeed() {
        assertThatThrownBy(() -> DeviceAddress.of("/dev/ttyUSB0", null)).hasMessageContaining("needs a speed");
        assertThatThrownBy(() -> DeviceAddress.of("/dev/ttyUSB0", 5)).hasMessageContaining("needs a speed");
    }
}
