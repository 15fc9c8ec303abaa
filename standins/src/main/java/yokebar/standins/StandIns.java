package yokebar.standins;

import java.io.IOException;
import java.nio.file.Path;
import java.security.GeneralSecurityException;
import java.time.Clock;
import yokebar.standins.backstage.Backstage;
import yokebar.standins.countersign.Countersign;
import yokebar.standins.device.HfRadio;
import yokebar.standins.device.Rotator;
import yokebar.standins.device.VhfRadio;
import yokebar.standins.program.DigitalProgram;
import yokebar.standins.world.World;

/** All stand-ins of one simulated world, started together. */
public final class StandIns implements AutoCloseable {

    /**
     * @param folder where services keep their books and programs their files
     * @param adifPort where the log under test listens for ADIF datagrams
     * @param countersignPort 0 for any free port
     * @param backstagePort 0 for any free port
     * @param hfRadioPort 0 for any free port
     * @param vhfRadioPort 0 for any free port
     * @param rotatorPort 0 for any free port
     */
    public record Settings(
            long seed,
            Clock clock,
            Path folder,
            int adifPort,
            int countersignPort,
            int backstagePort,
            int hfRadioPort,
            int vhfRadioPort,
            int rotatorPort) {

        /** With free ports for the devices. */
        public Settings(long seed, Clock clock, Path folder, int adifPort, int countersignPort, int backstagePort) {
            this(seed, clock, folder, adifPort, countersignPort, backstagePort, 0, 0, 0);
        }
    }

    private final World world;
    private final Countersign countersign;
    private final HfRadio hfRadio;
    private final VhfRadio vhfRadio;
    private final Rotator rotator;
    private final DigitalProgram program;
    private final Backstage backstage;

    public StandIns(Settings settings) throws IOException, GeneralSecurityException {
        world = new World(settings.seed());
        countersign = new Countersign(
                world, settings.clock(), settings.folder().resolve("countersign"), settings.countersignPort());
        hfRadio = new HfRadio(settings.hfRadioPort());
        vhfRadio = new VhfRadio(settings.vhfRadioPort());
        rotator = new Rotator(settings.rotatorPort());
        program = new DigitalProgram(
                world, settings.clock(), settings.seed(), settings.folder().resolve("wavelet"), settings.adifPort());
        backstage = new Backstage(program, countersign, hfRadio, vhfRadio, rotator, settings.backstagePort());
    }

    public World world() {
        return world;
    }

    public Countersign countersign() {
        return countersign;
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

    public DigitalProgram program() {
        return program;
    }

    public Backstage backstage() {
        return backstage;
    }

    @Override
    public void close() {
        program.close();
        hfRadio.close();
        vhfRadio.close();
        rotator.close();
        countersign.close();
        backstage.close();
    }
}
