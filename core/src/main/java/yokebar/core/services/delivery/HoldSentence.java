package yokebar.core.services.delivery;

import java.util.Map;

/** Why a contact, or many, are held back, and what would let them go: in words. */
public final class HoldSentence {
    private static final Map<String, String> FIELD_WORDS = Map.of(
            "RST_SENT", "the report sent",
            "RST_RCVD", "the report received",
            "GRIDSQUARE", "the other station's locator",
            "MY_GRIDSQUARE", "the own locator",
            "FREQ", "the frequency");

    private HoldSentence() {}

    /**
     * @param hold without its detail it is said of many contacts
     * @param service as the operator knows it
     */
    public static String of(Hold hold, String service) {
        String subject = hold.subject();
        String detail = hold.detail();
        return switch (hold.rule()) {
            case RELAYED -> "Made over " + way(subject) + ", and " + service + " takes direct contacts only.";
            case RELAYED_UNASKED ->
                "Made over " + way(subject) + "; such go to " + service + " only when you want them to.";
            case NO_IDENTITY ->
                detail.isEmpty()
                        ? "No certificate for " + subject + " is installed for " + service + "."
                        : "The certificate for " + subject + " covers contacts from " + detail + " only.";
            case IDENTITY_ENDED ->
                "The certificate of " + subject + " for " + service + " ended"
                        + (detail.isEmpty() ? "" : " on " + detail)
                        + " and signs nothing more. Install or request a new one.";
            case MODE_NOT_TAKEN, BAND_NOT_TAKEN -> service + " does not take " + subject + ".";
            case FIELD_MISSING ->
                service + " needs " + FIELD_WORDS.getOrDefault(subject, subject) + ", and it is empty.";
            case NOT_OWN_CALL ->
                "Made as " + subject + ", which is none of the station's calls. Add it under Station, or correct the"
                        + " contact.";
            case OWN_CALL_NOT_VALID ->
                subject + " was not yours to use" + (detail.isEmpty() ? " then" : " on " + detail)
                        + ". Correct the contact, or the days under Station.";
            case OTHER_OWN_CALL ->
                "Made as " + subject + ", which does not go to " + service + " by your choice of calls.";
            case TOO_OLD -> service + " keeps contacts from " + subject + " on.";
            case BEFORE_CHOSEN_DAY -> "Only contacts from " + subject + " on go there, by your choice.";
            case IN_THE_FUTURE -> "It starts in the future; correct its date or wait.";
            case COUNTED_ALREADY ->
                service + " counts it as one with "
                        + (detail.isEmpty() ? "an earlier contact" : "the contact at " + detail + " UTC")
                        + ". Join the two, or leave this one out.";
            case BY_SOURCE -> "Contacts of this source are held; release them under Hookups.";
        };
    }

    private static String way(String name) {
        return switch (name) {
            case "RPT" -> "a repeater";
            case "ECH" -> "linked repeaters";
            case "" -> "a relay";
            default -> "an internet link";
        };
    }
}
