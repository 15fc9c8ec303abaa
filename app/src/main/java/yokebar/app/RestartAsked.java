package yokebar.app;

/** Somebody wants the application to start afresh, as after a restore. */
public record RestartAsked() {}
