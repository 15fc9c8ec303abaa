package yokebar.app.operate.contest.sending;

import yokebar.core.operate.contest.sending.TextSlot;
import yokebar.core.operate.contest.sending.WayOfWorking;

/**
 * A text to send.
 *
 * @param way with which it is sent
 * @param slot the step of a contact, or the key, at which it is sent
 * @param text with its placeholders; empty where nothing is said
 * @param written whether it was written here; else it is what one starts with
 */
public record ContestTextView(WayOfWorking way, TextSlot slot, String text, boolean written) {}
