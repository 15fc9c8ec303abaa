package yokebar.app.station.callbook;

import yokebar.core.basics.call.Call;

/**
 * The callbook on the network told of a station.
 *
 * @param station what is known of it now from all callbooks
 */
public record CallbookAnswered(Call call, KnownStation station) {}
