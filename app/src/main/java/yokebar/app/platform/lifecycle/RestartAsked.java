package yokebar.app.platform.lifecycle;

/** Somebody wants the application to start afresh, as after a restore. */
public record RestartAsked() {}
