package yokebar.app.operate.onair;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.OptionalLong;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Service;
import yokebar.app.platform.rejection.Rejection;
import yokebar.app.sources.digital.DigitalPrograms;
import yokebar.app.sources.radio.RadioTuning;
import yokebar.app.sources.radio.Radios;
import yokebar.app.sources.rotor.Rotors;
import yokebar.app.station.position.Positions;
import yokebar.core.basics.mode.ModeGroup;
import yokebar.core.operate.onair.Audible;
import yokebar.core.operate.onair.Split;
import yokebar.core.sources.spot.Heard;

/** One action for a station on the air: radio, antenna, and the program that read it. */
@Service
class TuneToSpot {
    private final AirLook look;
    private final Air air;
    private final ChoicesStore choices;
    private final Positions positions;
    private final Radios radios;
    private final RadioTuning tuning;
    private final Rotors rotors;
    private final DigitalPrograms programs;

    TuneToSpot(
            AirLook look,
            Air air,
            ChoicesStore choices,
            Positions positions,
            Radios radios,
            RadioTuning tuning,
            Rotors rotors,
            DigitalPrograms programs) {
        this.look = look;
        this.air = air;
        this.choices = choices;
        this.positions = positions;
        this.radios = radios;
        this.tuning = tuning;
        this.rotors = rotors;
        this.programs = programs;
    }

    /**
     * What came of it.
     *
     * @param call for the contact line
     * @param good whether everything that was tried worked
     * @param sentence what was done, and what was not and why
     */
    record TuneResult(String call, boolean good, String sentence, @Nullable Integer bearingDegrees) {}

    /**
     * @param positionId whose radio goes there
     * @param answer whether a program that read the station is told to answer it; it transmits then
     */
    TuneResult go(@Nullable Long positionId, long id, boolean answer) {
        Audible audible = look.one(positionId, id);
        if (audible == null) {
            throw new Rejection("id", "This station is not heard any more.");
        }
        Heard heard = audible.heard();
        List<String> done = new ArrayList<>();
        boolean good = answer ? answered(heard, done) : tuned(positionId, audible, done);
        Integer bearing = audible.where().path() == null
                ? null
                : (int) Math.round(audible.where().path().bearingDegrees()) % 360;
        if (bearing != null && choices.get().turnBeam()) {
            rotors.turnTo(
                            radios.rotorOf(positions.radioOf(positionId).orElse(null))
                                    .orElse(null),
                            bearing)
                    .ifPresent(name -> done.add(name + " turns to " + bearing + "°"));
        }
        return new TuneResult(heard.call().text(), good, String.join(". ", done) + ".", bearing);
    }

    private boolean tuned(@Nullable Long positionId, Audible audible, List<String> done) {
        Heard heard = audible.heard();
        // Programs for the other digital modes see to their own split.
        boolean tunedByHand = audible.group() != ModeGroup.DIGITAL
                || heard.mode() != null && heard.mode().name().equals("RTTY");
        OptionalLong listens = tunedByHand
                ? Split.listensAt(heard.frequencyHz(), heard.comment(), audible.group() != ModeGroup.PHONE)
                : OptionalLong.empty();
        try {
            boolean there = tuning.goTo(
                    positions.radioOf(positionId).orElse(null),
                    heard.frequencyHz(),
                    heard.mode(),
                    listens.isPresent() ? listens.getAsLong() : null);
            done.add(
                    there
                            ? "The radio is on " + kilohertz(heard.frequencyHz())
                                    + (listens.isPresent() ? ", calling on " + kilohertz(listens.getAsLong()) : "")
                            : "The radio was set, but does not report it yet");
            return there;
        } catch (Rejection e) {
            String detail = e.sentence();
            done.add(detail == null ? "The radio was not tuned" : detail.replaceAll("\\.$", ""));
            return false;
        }
    }

    private boolean answered(Heard heard, List<String> done) {
        Map<Long, Air.Decode> decodes = air.decodesOf(List.of(heard.id()));
        Air.Decode decode = decodes.get(heard.id());
        if (decode == null) {
            throw new Rejection("id", "No program has read " + heard.call() + " lately, so none can answer it.");
        }
        programs.answer(decode.program(), decode.decodeId());
        done.add("The program was asked to answer " + heard.call());
        return true;
    }

    private static String kilohertz(long hertz) {
        return String.format(Locale.ROOT, "%.1f kHz", hertz / 1000.0);
    }
}
