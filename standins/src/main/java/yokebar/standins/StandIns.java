package yokebar.standins;

import java.io.IOException;
import java.nio.file.Path;
import java.security.GeneralSecurityException;
import java.time.Clock;
import java.util.List;
import java.util.Map;
import java.util.TreeMap;
import org.jspecify.annotations.Nullable;
import yokebar.standins.air.Air;
import yokebar.standins.backstage.AirKnobs;
import yokebar.standins.backstage.Backstage;
import yokebar.standins.backstage.DeliveryKnobs;
import yokebar.standins.backstage.DeviceKnobs;
import yokebar.standins.backstage.ProgramKnobs;
import yokebar.standins.backstage.ServiceKnobs;
import yokebar.standins.callbook.WhosThere;
import yokebar.standins.clock.TimeServer;
import yokebar.standins.cluster.BeaconHill;
import yokebar.standins.cluster.Nightjar;
import yokebar.standins.countersign.Countersign;
import yokebar.standins.device.HfRadio;
import yokebar.standins.device.Rotator;
import yokebar.standins.device.SerialLine;
import yokebar.standins.device.SerialLines;
import yokebar.standins.device.VhfRadio;
import yokebar.standins.faircopy.FairCopy;
import yokebar.standins.mail.MailGateway;
import yokebar.standins.net.NetVoices;
import yokebar.standins.picture.SlowScanProgram;
import yokebar.standins.postbag.Postbag;
import yokebar.standins.program.DigitalProgram;
import yokebar.standins.program.LinkedProgram;
import yokebar.standins.program.PortableDevice;
import yokebar.standins.quayside.Quayside;
import yokebar.standins.reference.Almanac;
import yokebar.standins.tallyho.TallyHo;
import yokebar.standins.teletype.Decoder;
import yokebar.standins.teletype.RecordedHour;
import yokebar.standins.teletype.TextProgram;
import yokebar.standins.world.World;

/** All stand-ins of one simulated world, started together. */
public final class StandIns implements AutoCloseable {

    /**
     * @param folder where services keep their books and programs their files
     * @param adifPort where the log under test listens for ADIF datagrams
     * @param linkPort where it listens for the digital link; 0 when it does not
     * @param countersignPort 0 for any free port
     * @param backstagePort 0 for any free port
     * @param serialFolder where the devices' serial ports appear; null for none
     */
    public record Settings(
            long seed,
            Clock clock,
            Path folder,
            int adifPort,
            int linkPort,
            int countersignPort,
            int backstagePort,
            LoopbackPorts devices,
            @Nullable Path serialFolder) {

        /** With free ports for the devices, and no serial ones. */
        public Settings(long seed, Clock clock, Path folder, int adifPort, int countersignPort, int backstagePort) {
            this(seed, clock, folder, adifPort, 0, countersignPort, backstagePort, LoopbackPorts.FREE, null);
        }
    }

    /**
     * The ports of the devices and of the services that only inform, each 0 for any free one.
     *
     * @param time UDP, of the time server
     * @param reference of the publisher of reference data
     * @param portable of the tablet that offers its log
     * @param quayside of the online log
     * @param postbag of the batch log with cards
     * @param mail of the radio mail gateway
     * @param node of the cluster node
     * @param skimmer of the skimmer feed
     * @param scoreboard of the live scoreboard
     * @param sandpiper of the program with two decoders of radioteletype
     * @param dunlin of the program with one
     * @param adjudicator of the adjudicator of contests
     */
    public record LoopbackPorts(
            int hfRadio,
            int vhfRadio,
            int rotator,
            int time,
            int callbook,
            int reference,
            int portable,
            int quayside,
            int postbag,
            int mail,
            int node,
            int skimmer,
            int scoreboard,
            int sandpiper,
            int dunlin,
            int adjudicator) {
        public static final LoopbackPorts FREE = new LoopbackPorts(0, 0, 0, 0, 0, 0, 0, 0, 0, 0, 0, 0, 0, 0, 0, 0);
    }

    private final World world;
    private final Countersign countersign;
    private final Quayside quayside;
    private final Postbag postbag;
    private final MailGateway mail;
    private final TallyHo scoreboard;
    private final FairCopy adjudicator;
    private final HfRadio hfRadio;
    private final VhfRadio vhfRadio;
    private final Rotator rotator;
    private final TimeServer timeServer;
    private final WhosThere callbook;
    private final Almanac almanac;
    private final SerialLines serialLines;
    private final DigitalProgram program;
    private final LinkedProgram linked;
    private final PortableDevice portable;
    private final SlowScanProgram slowScan;
    private final NetVoices voices;
    private final TextProgram sandpiper;
    private final TextProgram dunlin;
    private final Air air;
    private final BeaconHill node;
    private final Nightjar skimmer;
    private final Backstage backstage;

    public StandIns(Settings settings) throws IOException, GeneralSecurityException, InterruptedException {
        world = new World(settings.seed());
        countersign = new Countersign(
                world, settings.clock(), settings.folder().resolve("countersign"), settings.countersignPort());
        quayside = new Quayside(
                settings.clock(),
                settings.folder().resolve("quayside"),
                settings.devices().quayside());
        postbag = new Postbag(
                world,
                settings.clock(),
                settings.folder().resolve("postbag"),
                settings.devices().postbag());
        mail = new MailGateway(
                settings.folder().resolve("mail"), settings.devices().mail(), countersign::take);
        scoreboard = new TallyHo(world, settings.clock(), settings.devices().scoreboard());
        adjudicator = new FairCopy(
                world,
                settings.clock(),
                settings.folder().resolve("fair-copy"),
                settings.devices().adjudicator());
        hfRadio = new HfRadio(settings.devices().hfRadio());
        vhfRadio = new VhfRadio(settings.devices().vhfRadio());
        rotator = new Rotator(settings.devices().rotator());
        timeServer = new TimeServer(settings.clock(), settings.devices().time());
        callbook = new WhosThere(world, settings.clock(), settings.devices().callbook());
        almanac = new Almanac(settings.devices().reference(), world);
        serialLines = serialLines(settings.serialFolder());
        program = new DigitalProgram(
                world, settings.clock(), settings.seed(), settings.folder().resolve("wavelet"), settings.adifPort());
        linked = new LinkedProgram(
                world, settings.clock(), settings.seed() + 1, "wavelet-2", "Wavelet 2", settings.linkPort(), 4);
        portable =
                new PortableDevice(world, settings.clock(), settings.devices().portable());
        slowScan = new SlowScanProgram(
                world, settings.clock(), settings.seed() + 4, settings.folder().resolve("slowlight"));
        voices = new NetVoices(world, settings.clock(), settings.seed() + 5);
        RecordedHour hour = new RecordedHour(world, settings.seed() + 6);
        sandpiper = new TextProgram(
                new TextProgram.Kind("Sandpiper", List.of(Decoder.NARROW, Decoder.DIVERSITY), true),
                hour,
                settings.seed(),
                settings.clock(),
                settings.devices().sandpiper());
        dunlin = new TextProgram(
                new TextProgram.Kind("Dunlin", List.of(Decoder.PLAIN), false),
                hour,
                settings.seed(),
                settings.clock(),
                settings.devices().dunlin());
        air = new Air(world, settings.clock(), settings.seed() + 2);
        node = new BeaconHill(
                air, settings.clock(), settings.seed() + 3, settings.devices().node());
        skimmer = new Nightjar(air, settings.clock(), settings.devices().skimmer());
        linked.listenTo(air);
        backstage = new Backstage(
                new ProgramKnobs(program, linked, portable, slowScan, voices, List.of(sandpiper, dunlin)),
                new ServiceKnobs(countersign, callbook, almanac),
                new DeliveryKnobs(quayside, postbag, mail, scoreboard, adjudicator),
                new DeviceKnobs(hfRadio, vhfRadio, rotator, timeServer, serialLines),
                new AirKnobs(air, node, skimmer),
                settings.backstagePort());
    }

    private SerialLines serialLines(@Nullable Path folder) throws IOException, InterruptedException {
        if (folder == null || !SerialLine.possible()) {
            return new SerialLines(Path.of("."), Map.of());
        }
        return new SerialLines(
                folder,
                new TreeMap<>(
                        Map.of("petrel", hfRadio.port(), "shearwater", vhfRadio.port(), "windrose", rotator.port())));
    }

    public World world() {
        return world;
    }

    public Countersign countersign() {
        return countersign;
    }

    public Quayside quayside() {
        return quayside;
    }

    public Postbag postbag() {
        return postbag;
    }

    public MailGateway mail() {
        return mail;
    }

    /** The program with two decoders of radioteletype. */
    public TextProgram sandpiper() {
        return sandpiper;
    }

    /** The program with one decoder of radioteletype. */
    public TextProgram dunlin() {
        return dunlin;
    }

    /** The live scoreboard. */
    public TallyHo scoreboard() {
        return scoreboard;
    }

    /** The adjudicator of contests. */
    public FairCopy adjudicator() {
        return adjudicator;
    }

    public HfRadio hfRadio() {
        return hfRadio;
    }

    public VhfRadio vhfRadio() {
        return vhfRadio;
    }

    public Rotator rotator() {
        return rotator;
    }

    public TimeServer timeServer() {
        return timeServer;
    }

    public WhosThere callbook() {
        return callbook;
    }

    public Almanac almanac() {
        return almanac;
    }

    public DigitalProgram program() {
        return program;
    }

    /** The second instance of the program, on the digital link. */
    public LinkedProgram linked() {
        return linked;
    }

    public PortableDevice portable() {
        return portable;
    }

    /** The program that receives and transmits pictures. */
    public SlowScanProgram slowScan() {
        return slowScan;
    }

    /** Who is on the air. */
    public Air air() {
        return air;
    }

    public BeaconHill node() {
        return node;
    }

    public Nightjar skimmer() {
        return skimmer;
    }

    public Backstage backstage() {
        return backstage;
    }

    @Override
    public void close() {
        node.close();
        skimmer.close();
        slowScan.close();
        voices.close();
        sandpiper.close();
        dunlin.close();
        portable.close();
        linked.close();
        program.close();
        serialLines.close();
        timeServer.close();
        callbook.close();
        almanac.close();
        hfRadio.close();
        vhfRadio.close();
        rotator.close();
        mail.close();
        scoreboard.close();
        adjudicator.close();
        quayside.close();
        postbag.close();
        countersign.close();
        backstage.close();
    }
}
