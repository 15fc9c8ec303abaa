package yokebar.app.platform.live;

/**
 * One message of the event stream.
 *
 * @param number counted from 1 since the application started
 * @param kind which message it is
 * @param json its content
 */
record LiveEvent(long number, String kind, String json) {}
