package yokebar.core.log.adif;

import org.jspecify.annotations.Nullable;

/**
 * One record as it stood in the text.
 *
 * @param index counted from 1 within the text
 * @param fields what it holds
 * @param fault why it cannot be taken as it is, as one sentence; null when it can
 * @param ended whether its end stood in the text; if not, more of it may still come
 */
public record AdifRecord(int index, AdifFields fields, @Nullable String fault, boolean ended) {}
