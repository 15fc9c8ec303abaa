package yokebar.app.live;

/**
 * One message of the event stream.
 *
 * @param number counted from 1 since the application started
 * @param kind which topic it belongs to
 * @param json its content
 */
record LiveEvent(long number, String kind, String json) {}
