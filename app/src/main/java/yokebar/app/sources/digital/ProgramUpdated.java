package yokebar.app.sources.digital;

/** A program on the digital link came, went, or is set otherwise. */
public record ProgramUpdated(String programId) {}
