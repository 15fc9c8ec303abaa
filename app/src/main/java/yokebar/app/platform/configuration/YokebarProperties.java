package yokebar.app.platform.configuration;

import java.nio.file.Path;
import java.util.List;
import org.springframework.boot.context.properties.ConfigurationProperties;
import org.springframework.boot.context.properties.bind.DefaultValue;

/**
 * The values under {@code yokebar} in {@code application.yaml}, each of which an environment variable can set.
 *
 * @param home the data folder
 * @param adifUdpPort where programs send contacts as datagrams
 * @param adifTcpPort where programs send contacts over a stream
 * @param linkPort of the digital link, UDP
 * @param radioSharePort where the first radio is shared; 0 for none unless told to
 * @param logFolders further folders in which programs may keep their logs
 * @param allowedHosts names this computer is opened under besides localhost and 127.0.0.1
 * @param simulatedDevices host and port of the demo's devices
 * @param simulatedSerial folder of the demo's serial lines
 * @param diskReserveMb room on the disk below which nothing is stored, MB; 0 for the usual
 */
@ConfigurationProperties("yokebar")
public record YokebarProperties(
        Path home,
        int adifUdpPort,
        int adifTcpPort,
        int linkPort,
        int radioSharePort,
        @DefaultValue List<String> logFolders,
        @DefaultValue List<String> allowedHosts,
        @DefaultValue List<String> simulatedDevices,
        Path simulatedSerial,
        @DefaultValue("0") long diskReserveMb) {

    public YokebarProperties {
        logFolders = filled(logFolders);
        allowedHosts = filled(allowedHosts);
    }

    /** A comma too many must not stand for the folder Yokebar runs in, or for a host without a name. */
    private static List<String> filled(List<String> texts) {
        return texts.stream().map(String::strip).filter(text -> !text.isEmpty()).toList();
    }
}
