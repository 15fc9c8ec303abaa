package yokebar.standins;

import java.net.URI;
import java.nio.file.Path;
import java.time.Clock;
import java.time.Duration;
import yokebar.standins.conformance.Conformance;
import yokebar.standins.conformance.Subject;
import yokebar.standins.demo.DemoSetup;

/**
 * Runs the stand-ins as a process of their own. Settings come from the environment: {@code YOKEBAR_STANDINS_HOME} (folder),
 * {@code YOKEBAR_PORT}, {@code YOKEBAR_ADIF_UDP_PORT}, {@code YOKEBAR_LINK_PORT},
 * {@code YOKEBAR_BACKSTAGE_PORT}, {@code YOKEBAR_COUNTERSIGN_PORT},
 * {@code YOKEBAR_HF_RADIO_PORT}, {@code YOKEBAR_VHF_RADIO_PORT}, {@code YOKEBAR_ROTATOR_PORT},
 * {@code YOKEBAR_TIME_SERVER_PORT}, {@code YOKEBAR_CALLBOOK_PORT}, {@code YOKEBAR_REFERENCE_PORT}, {@code YOKEBAR_PORTABLE_PORT},
 * {@code YOKEBAR_QUAYSIDE_PORT}, {@code YOKEBAR_POSTBAG_PORT}, {@code YOKEBAR_MAIL_PORT}, {@code YOKEBAR_NODE_PORT}, {@code YOKEBAR_SKIMMER_PORT},
 * {@code YOKEBAR_SCOREBOARD_PORT}, {@code YOKEBAR_SANDPIPER_PORT}, {@code YOKEBAR_DUNLIN_PORT}, {@code YOKEBAR_ADJUDICATOR_PORT},
 * {@code YOKEBAR_SERIAL_FOLDER} (where the serial ports appear), {@code YOKEBAR_WORLD_SEED}, {@code YOKEBAR_DEMO_TEMPO}
 * (seconds between contacts, 0 for none).
 */
public final class Main {
    private Main() {}

    public static void main(String[] args) throws Exception {
        if (args.length > 0 && args[0].equals("conformance")) {
            System.exit(conformance(args));
        }
        StandIns standIns = new StandIns(new StandIns.Settings(
                Long.parseLong(setting("YOKEBAR_WORLD_SEED", "9")),
                Clock.systemUTC(),
                Path.of(setting("YOKEBAR_STANDINS_HOME", "stand-ins")),
                number("YOKEBAR_ADIF_UDP_PORT", 7371),
                number("YOKEBAR_LINK_PORT", 7373),
                number("YOKEBAR_COUNTERSIGN_PORT", 7401),
                number("YOKEBAR_BACKSTAGE_PORT", 7379),
                new StandIns.LoopbackPorts(
                        number("YOKEBAR_HF_RADIO_PORT", 7402),
                        number("YOKEBAR_VHF_RADIO_PORT", 7403),
                        number("YOKEBAR_ROTATOR_PORT", 7404),
                        number("YOKEBAR_TIME_SERVER_PORT", 7405),
                        number("YOKEBAR_CALLBOOK_PORT", 7406),
                        number("YOKEBAR_REFERENCE_PORT", 7407),
                        number("YOKEBAR_PORTABLE_PORT", 7408),
                        number("YOKEBAR_QUAYSIDE_PORT", 7409),
                        number("YOKEBAR_POSTBAG_PORT", 7410),
                        number("YOKEBAR_MAIL_PORT", 7411),
                        number("YOKEBAR_NODE_PORT", 7412),
                        number("YOKEBAR_SKIMMER_PORT", 7413),
                        number("YOKEBAR_SCOREBOARD_PORT", 7414),
                        number("YOKEBAR_SANDPIPER_PORT", 7415),
                        number("YOKEBAR_DUNLIN_PORT", 7416),
                        number("YOKEBAR_ADJUDICATOR_PORT", 7417)),
                Path.of(setting("YOKEBAR_SERIAL_FOLDER", "serial"))));
        Runtime.getRuntime().addShutdownHook(new Thread(standIns::close));
        System.out.println("Backstage is at " + standIns.backstage().address());
        DemoSetup demo = new DemoSetup(URI.create("http://127.0.0.1:" + number("YOKEBAR_PORT", 7370) + "/"), standIns);
        demo.awaitReady(Duration.ofMinutes(3));
        if (demo.furnish()) {
            System.out.println("The demo station is set up.");
        }
        standIns.linked().listen(5);
        standIns.node().setSpotsASecond(0.7);
        standIns.skimmer().setSpotsASecond(2.5);
        standIns.slowScan().setSecondsBetween(600);
        standIns.program().useRadio(number("YOKEBAR_RADIO_SHARE_PORT", 7380));
        standIns.program().setSecondsBetween(Double.parseDouble(setting("YOKEBAR_DEMO_TEMPO", "6")));
        Thread.currentThread().join();
    }

    /** @return 0 when all requirements are met, 1 when not, 2 when it was not said what to try */
    private static int conformance(String[] args) {
        if (args.length < 3 || args.length > 6 || !Conformance.PROTOCOLS.contains(args[1])) {
            System.err.println("conformance <protocol> <address> [<name:password, key, or call>]"
                    + " [<identity.p12> <passphrase>]; the protocols are " + String.join(", ", Conformance.PROTOCOLS)
                    + ".");
            return 2;
        }
        try {
            Subject subject = new Subject(
                    URI.create(args[2]),
                    args.length > 3 ? args[3] : "",
                    args.length > 4 ? Path.of(args[4]) : null,
                    args.length > 5 ? args[5] : "");
            return Conformance.run(args[1], subject, System.out) == 0 ? 0 : 1;
        } catch (IllegalArgumentException e) {
            System.err.println(e.getMessage());
            return 2;
        }
    }

    private static int number(String name, int otherwise) {
        return Integer.parseInt(setting(name, String.valueOf(otherwise)));
    }

    private static String setting(String name, String otherwise) {
        String value = System.getenv(name);
        return value == null || value.isBlank() ? otherwise : value;
    }
}
