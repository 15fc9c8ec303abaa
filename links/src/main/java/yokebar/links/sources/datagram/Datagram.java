package yokebar.links.sources.datagram;

import java.net.InetSocketAddress;
import java.time.Instant;

/**
 * @param receivedAt UTC
 */
public record Datagram(byte[] content, InetSocketAddress sender, Instant receivedAt) {}
