package yokebar.app.sources.digital;

import org.jspecify.annotations.Nullable;
import yokebar.links.platform.status.LinkState;
import yokebar.links.sources.digital.LinkMessage;

/**
 * A program on the digital link as it is now.
 *
 * @param id of its coupling
 * @param dialHz where its radio is, Hz; null when it does not say
 * @param partner the call it is working; null when nobody
 */
public record ProgramView(
        String id,
        String name,
        boolean live,
        @Nullable Long dialHz,
        @Nullable String mode,
        boolean transmitting,
        @Nullable String partner,
        @Nullable String partnerLocator,
        @Nullable String radio) {

    static ProgramView of(DigitalProgram program) {
        LinkMessage.Status status = program.reported();
        boolean live = program.status().state() == LinkState.LIVE;
        return status == null
                ? new ProgramView(program.id(), program.name(), live, null, null, false, null, null, null)
                : new ProgramView(
                        program.id(),
                        program.name(),
                        live,
                        status.dialHz(),
                        status.mode(),
                        status.transmitting(),
                        status.partner(),
                        status.partnerLocator(),
                        status.radio());
    }
}
