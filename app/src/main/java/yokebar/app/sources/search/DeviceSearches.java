package yokebar.app.sources.search;

import java.io.IOException;
import java.nio.file.DirectoryStream;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.TreeSet;
import java.util.function.Supplier;
import java.util.stream.Stream;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.context.ApplicationEventPublisher;
import org.springframework.stereotype.Service;
import yokebar.app.platform.configuration.YokebarProperties;
import yokebar.app.sources.hookup.Hookup;
import yokebar.app.sources.hookup.Hookups;
import yokebar.app.sources.radio.RadioView;
import yokebar.app.sources.radio.Radios;
import yokebar.app.sources.rotor.RotorView;
import yokebar.app.sources.rotor.Rotors;
import yokebar.links.platform.wire.SerialPorts;
import yokebar.links.sources.radio.RadioDialects;
import yokebar.links.sources.radio.RadioProbe;
import yokebar.links.sources.rotor.RotorProbe;
import yokebar.links.sources.search.DeviceSearch;
import yokebar.links.sources.search.Probe;

/** Searches ports for devices, one search at a time, in the background. */
@Service
public class DeviceSearches {
    private static final Logger LOG = LoggerFactory.getLogger(DeviceSearches.class);
    private static final SearchView NONE = new SearchView(false, 0, 0, 0, 0, null, List.of());

    private final RadioDialects dialects;
    private final Radios radios;
    private final Rotors rotors;
    private final Hookups hookups;
    private final ApplicationEventPublisher events;
    private final List<String> simulated;
    private final Path simulatedSerial;
    private volatile SearchView view = NONE;
    private volatile int current;

    DeviceSearches(
            RadioDialects dialects,
            Radios radios,
            Rotors rotors,
            Hookups hookups,
            ApplicationEventPublisher events,
            YokebarProperties properties) {
        this.dialects = dialects;
        this.radios = radios;
        this.rotors = rotors;
        this.hookups = hookups;
        this.events = events;
        this.simulated = properties.simulatedDevices();
        this.simulatedSerial = properties.simulatedSerial();
    }

    public SearchView view() {
        return view;
    }

    /**
     * Starts a search; one under way is stopped.
     *
     * @param addresses the ports to search; empty for every serial port of this computer and the simulated devices
     */
    synchronized void start(List<String> addresses) {
        int number = ++current;
        List<String> ports = addresses.isEmpty() ? everywhere() : List.copyOf(addresses);
        show(number, new SearchView(!ports.isEmpty(), 0, 0, 0, ports.size(), null, List.of()));
        Thread thread = new Thread(() -> search(number, ports), "device-search");
        thread.setDaemon(true);
        thread.start();
    }

    synchronized void cancel() {
        current++;
        SearchView last = view;
        view = new SearchView(false, last.tried(), last.of(), last.port(), last.ports(), null, last.findings());
        events.publishEvent(new SearchUpdated());
    }

    private void search(int number, List<String> ports) {
        DeviceSearch search = new DeviceSearch(probes());
        List<SearchView.FindingView> findings = new ArrayList<>();
        for (int i = 0; i < ports.size() && number == current; i++) {
            int port = i;
            List<SearchView.FindingView> soFar = List.copyOf(findings);
            List<Hookup> holders = holders(ports.get(i));
            // A device of ours lets go of its port for as long as the search needs it.
            holders.forEach(Hookup::disconnect);
            try {
                DeviceSearch.Finding finding = search.search(
                        ports.get(i),
                        (tried, of, now) ->
                                show(number, new SearchView(true, tried, of, port, ports.size(), now, soFar)),
                        () -> number != current);
                findings.add(view(finding));
            } finally {
                holders.stream().filter(h -> hookups.wanted(h.id())).forEach(Hookup::connect);
            }
        }
        show(number, new SearchView(false, 0, 0, ports.size(), ports.size(), null, List.copyOf(findings)));
    }

    private synchronized void show(int number, SearchView next) {
        if (number == current) {
            view = next;
            events.publishEvent(new SearchUpdated());
        }
    }

    private List<Hookup> holders(String port) {
        return Stream.concat(
                        radios.views().stream()
                                .filter(r -> r.address().equals(port))
                                .map(RadioView::hookup),
                        rotors.views().stream()
                                .filter(r -> r.address().equals(port))
                                .map(RotorView::hookup))
                .map(hookups::find)
                .flatMap(Optional::stream)
                .toList();
    }

    private List<Supplier<Probe>> probes() {
        List<Supplier<Probe>> probes = new ArrayList<>();
        dialects.all().forEach(entry -> probes.add(() -> new RadioProbe(entry)));
        probes.add(RotorProbe::new);
        return probes;
    }

    /** Ports of devices that are set up already are theirs. */
    private List<String> everywhere() {
        Set<String> ports = new LinkedHashSet<>();
        SerialPorts.list().forEach(port -> ports.add(port.path()));
        ports.addAll(simulatedSerial());
        ports.addAll(simulated);
        Stream.concat(
                        radios.views().stream().map(RadioView::address),
                        rotors.views().stream().map(RotorView::address))
                .forEach(ports::remove);
        return List.copyOf(ports);
    }

    private Set<String> simulatedSerial() {
        Set<String> ports = new TreeSet<>();
        if (Files.isDirectory(simulatedSerial)) {
            try (DirectoryStream<Path> found = Files.newDirectoryStream(simulatedSerial)) {
                found.forEach(port -> ports.add(port.toString()));
            } catch (IOException e) {
                LOG.warn("The simulated serial ports in {} cannot be listed", simulatedSerial, e);
            }
        }
        return ports;
    }

    private static SearchView.FindingView view(DeviceSearch.Finding finding) {
        Probe.Answer answer = finding.answer();
        SearchView.Kind kind = answer == null
                ? SearchView.Kind.NOTHING
                : answer.radioDialect() == null ? SearchView.Kind.ROTATOR : SearchView.Kind.RADIO;
        return new SearchView.FindingView(
                kind,
                finding.address(),
                finding.baud(),
                answer == null ? null : answer.radioDialect(),
                answer == null ? 0 : answer.bus(),
                finding.sentence(),
                finding.fix());
    }
}
