package yokebar.core.sources.radio;

/** One of a radio's two frequency memories. */
public enum Vfo {
    A,
    B;

    public Vfo other() {
        return this == A ? B : A;
    }
}
