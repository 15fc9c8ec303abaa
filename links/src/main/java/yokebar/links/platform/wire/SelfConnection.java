package yokebar.links.platform.wire;

import java.net.ConnectException;
import java.net.InetAddress;
import java.net.Socket;

/**
 * A call that reached its caller: where nobody listens on a port of this computer and the system happens to give the caller that
 * very port to call from, TCP connects the two ends of one socket (simultaneous open, RFC 9293, 3.5). It would hear its own
 * words, and the program it waits for could not have its port.
 */
public final class SelfConnection {
    private SelfConnection() {}

    /** @throws ConnectException if the socket is connected with itself; nobody listens there */
    public static void refuse(Socket socket) throws ConnectException {
        refuse(socket.getLocalAddress(), socket.getLocalPort(), socket.getInetAddress(), socket.getPort());
    }

    /** @throws ConnectException if both ends are the same; nobody listens there */
    public static void refuse(InetAddress from, int fromPort, InetAddress to, int toPort) throws ConnectException {
        if (fromPort == toPort && from.equals(to)) {
            throw new ConnectException("Connection refused");
        }
    }
}
