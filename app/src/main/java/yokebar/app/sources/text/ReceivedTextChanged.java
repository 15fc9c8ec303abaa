package yokebar.app.sources.text;

/** Something was received, or a program with decoders came or went. */
record ReceivedTextChanged() {}
