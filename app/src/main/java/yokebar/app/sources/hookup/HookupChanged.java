package yokebar.app.sources.hookup;

/**
 * A coupling's state, or something it shows, is different now.
 *
 * @param id the coupling's
 */
public record HookupChanged(String id) {}
