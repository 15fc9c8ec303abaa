package yokebar.app.operate.net.roster;

import org.jspecify.annotations.Nullable;

/**
 * A station for the roster of a net.
 *
 * @param name empty for the name of its last check-in
 */
record MemberDraft(@Nullable String call, @Nullable String name) {}
