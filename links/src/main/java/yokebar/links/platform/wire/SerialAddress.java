package yokebar.links.platform.wire;

import com.fazecast.jSerialComm.SerialPort;
import com.fazecast.jSerialComm.SerialPortInvalidPortException;
import java.io.EOFException;
import java.io.IOException;
import java.util.Locale;
import org.jspecify.annotations.Nullable;

/**
 * A device on a serial port: eight data bits, no parity, one stop bit, as radios and rotators have it today.
 *
 * @param path such as {@code /dev/ttyUSB0}
 * @param baud speed, bit/s
 */
public record SerialAddress(String path, int baud) implements DeviceAddress {

    @Override
    public Wire open() throws LinkFault {
        LinkFault visible = SerialFaults.beforeOpening(path);
        if (visible != null) {
            throw visible;
        }
        SerialPort port = port(path);
        if (port == null) {
            throw SerialFaults.noSuchPort(path);
        }
        port.setComPortParameters(baud, 8, SerialPort.ONE_STOP_BIT, SerialPort.NO_PARITY);
        port.setFlowControl(SerialPort.FLOW_CONTROL_DISABLED);
        port.setComPortTimeouts(SerialPort.TIMEOUT_READ_SEMI_BLOCKING, Wire.READ_WAIT_MS, 0);
        // Many radios take these lines as key and push-to-talk: opening the port must not transmit.
        port.clearDTR();
        port.clearRTS();
        if (!port.openPort(0)) {
            throw SerialFaults.afterOpeningFailed(path, port.getLastErrorCode());
        }
        return new SerialWire(port);
    }

    private static @Nullable SerialPort port(String path) {
        try {
            return SerialPort.getCommPort(path);
        } catch (SerialPortInvalidPortException e) {
            return null;
        }
    }

    @Override
    public String words() {
        return path + " at " + String.format(Locale.ROOT, "%,d", baud).replace(',', ' ') + " baud";
    }

    @Override
    public String whenSilent() {
        return "Is it on, set to this speed, and is the cable in?";
    }

    @Override
    public String whenGarbled() {
        return "Is it set to another speed, or is it another kind of device?";
    }

    private record SerialWire(SerialPort port) implements Wire {
        @Override
        public int read(byte[] buffer, int waitMs) throws IOException {
            if (port.getReadTimeout() != waitMs) {
                port.setComPortTimeouts(SerialPort.TIMEOUT_READ_SEMI_BLOCKING, waitMs, 0);
            }
            int count = port.readBytes(buffer, buffer.length);
            if (count < 0) {
                throw new EOFException("the serial port is gone");
            }
            return count;
        }

        @Override
        public void write(byte[] bytes) throws IOException {
            if (port.writeBytes(bytes, bytes.length) < bytes.length) {
                throw new EOFException("the serial port takes no more");
            }
        }

        @Override
        public void close() {
            port.closePort();
        }
    }
}
