package yokebar.app.sources.radio;

import java.util.List;
import org.jspecify.annotations.Nullable;
import org.springframework.web.bind.annotation.DeleteMapping;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RestController;
import yokebar.app.platform.rejection.Rejection;
import yokebar.app.platform.storage.StoresNothing;
import yokebar.core.basics.band.WrittenFrequency;
import yokebar.links.platform.wire.SerialPorts;

/** The radios over HTTP. */
@RestController
@RequestMapping("/api/radios")
class RadioController {
    private final Radios radios;
    private final RadioTuning radioTuning;
    private final RadioTexts radioTexts;

    RadioController(Radios radios, RadioTuning radioTuning, RadioTexts radioTexts) {
        this.radios = radios;
        this.radioTuning = radioTuning;
        this.radioTexts = radioTexts;
    }

    /** A dialect to choose. */
    record Dialect(String id, String words, List<Integer> bauds, boolean bus) {}

    /** A serial port of this computer. */
    record Port(String path, String description) {}

    /** What there is to choose from when a radio is set up. */
    record Choices(List<Dialect> dialects, List<Port> serialPorts) {}

    /**
     * What to set; what is left out stays.
     *
     * @param frequencyHz Hz
     * @param typedFrequency in place of {@code frequencyHz}: as it was typed, in kHz, MHz or Hz
     * @param mode as the radio names it
     */
    record Tuning(
            @Nullable Long frequencyHz,
            @Nullable String typedFrequency,
            @Nullable String mode,
            @Nullable Boolean split) {

        @Nullable
        Long hz() {
            if (typedFrequency == null) {
                return frequencyHz;
            }
            Long hz = WrittenFrequency.read(typedFrequency);
            if (hz == null) {
                throw new Rejection(
                        "typedFrequency",
                        "\"" + typedFrequency
                                + "\" is not a frequency. Type it in kHz or MHz, such as 14250 or 14.250.");
            }
            return hz;
        }
    }

    /**
     * How fast the keyer of a radio sends.
     *
     * @param wordsPerMinute words of the length of PARIS a minute, 6 to 48
     */
    record KeyerSpeed(int wordsPerMinute) {}

    /** Whether a command went to the radio; what it made of it shows in its next reports. */
    record CommandSent(boolean sent) {}

    /** The radios with what they report. */
    @GetMapping
    List<RadioView> all() {
        return radios.views();
    }

    /** What a radio may be set up with: kinds of CAT and serial ports. */
    @GetMapping("/choices")
    Choices choices() {
        return new Choices(
                radios.dialects().all().stream()
                        .map(d -> new Dialect(d.id(), d.words(), d.bauds(), d.bus()))
                        .toList(),
                SerialPorts.list().stream()
                        .map(p -> new Port(p.path(), p.description()))
                        .toList());
    }

    /** Adds a radio and connects to it. */
    @PostMapping
    List<RadioView> add(@RequestBody RadioDraft draft) {
        radios.save(null, draft);
        return radios.views();
    }

    /** Changes a radio and connects anew. */
    @PutMapping("/{id}")
    List<RadioView> change(@PathVariable long id, @RequestBody RadioDraft draft) {
        radios.save(id, draft);
        return radios.views();
    }

    /** Removes a radio. */
    @DeleteMapping("/{id}")
    List<RadioView> remove(@PathVariable long id) {
        radios.remove(id);
        return radios.views();
    }

    /** Tunes a radio, or changes its mode or split. */
    @StoresNothing
    @PostMapping("/{id}/tune")
    CommandSent tune(@PathVariable long id, @RequestBody Tuning tuning) {
        radioTuning.tune(id, tuning.hz(), tuning.mode(), tuning.split());
        return new CommandSent(true);
    }

    /** Sets how fast the keyer of a radio sends. */
    @StoresNothing
    @PostMapping("/{id}/keyer-speed")
    CommandSent setKeyerSpeed(@PathVariable long id, @RequestBody KeyerSpeed speed) {
        radioTexts.setSpeed(id, speed.wordsPerMinute());
        return new CommandSent(true);
    }

    /** Ends the text that a radio sends, and those that wait. */
    @StoresNothing
    @PostMapping("/{id}/stop-text")
    CommandSent stopText(@PathVariable long id) {
        radioTexts.stop(id);
        return new CommandSent(true);
    }
}
