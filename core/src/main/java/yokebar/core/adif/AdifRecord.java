package yokebar.core.adif;

import org.jspecify.annotations.Nullable;

/**
 * One record as it stood in the text.
 *
 * @param index counted from 1 within the text
 * @param fields what it holds
 * @param fault why it cannot be taken as a whole record, as one sentence; null when it can
 */
public record AdifRecord(int index, AdifFields fields, @Nullable String fault) {}
