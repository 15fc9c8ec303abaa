package yokebar.links.platform.wire;

import java.io.EOFException;
import java.io.IOException;
import java.net.ConnectException;
import java.net.InetSocketAddress;
import java.net.NoRouteToHostException;
import java.net.Socket;
import java.net.SocketTimeoutException;

/** A device, or a program that offers one, on a TCP port. */
public record TcpAddress(String host, int port) implements DeviceAddress {
    private static final int CONNECT_WITHIN_MS = 3000;

    @Override
    public Wire open() throws LinkFault {
        Socket socket = new Socket();
        InetSocketAddress address = new InetSocketAddress(host, port);
        if (address.isUnresolved()) {
            throw new LinkFault(
                    LinkFault.Kind.UNKNOWN_HOST,
                    "There is no host called " + host + ".",
                    "Is the name right? An address such as 192.168.1.20 works too.",
                    null);
        }
        try {
            socket.setTcpNoDelay(true);
            socket.setKeepAlive(true);
            socket.connect(address, CONNECT_WITHIN_MS);
            SelfConnection.refuse(socket);
            socket.setSoTimeout(Wire.READ_WAIT_MS);
            return new TcpWire(socket);
        } catch (IOException e) {
            close(socket, e);
            throw fault(e);
        }
    }

    private static void close(Socket socket, IOException because) {
        try {
            socket.close();
        } catch (IOException e) {
            because.addSuppressed(e);
        }
    }

    private LinkFault fault(IOException e) {
        if (e instanceof ConnectException && String.valueOf(e.getMessage()).contains("refused")) {
            return new LinkFault(
                    LinkFault.Kind.REFUSED,
                    host + " answers, but nothing listens on port " + port + ".",
                    "Is the program that offers the device running there, and on this port?",
                    e);
        }
        if (e instanceof SocketTimeoutException || e instanceof NoRouteToHostException) {
            return new LinkFault(
                    LinkFault.Kind.TIMED_OUT,
                    host + " does not answer on port " + port + ".",
                    "Is it on and on the network? Does a firewall stand between?",
                    e);
        }
        return new LinkFault(
                LinkFault.Kind.CANNOT_OPEN,
                words() + " cannot be reached: " + e.getMessage() + ".",
                "Check the host and the port.",
                e);
    }

    @Override
    public String words() {
        return host + ":" + port;
    }

    @Override
    public String whenSilent() {
        return "Is the device on, and is it this one?";
    }

    @Override
    public String whenGarbled() {
        return "Is the kind of device right?";
    }

    private record TcpWire(Socket socket) implements Wire {
        @Override
        public int read(byte[] buffer, int waitMs) throws IOException {
            try {
                if (socket.getSoTimeout() != waitMs) {
                    socket.setSoTimeout(waitMs);
                }
                int count = socket.getInputStream().read(buffer);
                if (count < 0) {
                    throw new EOFException("the other side closed the connection");
                }
                return count;
            } catch (SocketTimeoutException e) {
                return 0;
            }
        }

        @Override
        public void write(byte[] bytes) throws IOException {
            socket.getOutputStream().write(bytes);
        }

        @Override
        public void close() throws IOException {
            socket.close();
        }
    }
}
