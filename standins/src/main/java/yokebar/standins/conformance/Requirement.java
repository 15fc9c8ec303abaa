package yokebar.standins.conformance;

/**
 * One thing a protocol requires.
 *
 * @param sentence what is required, in the words of the protocol
 */
record Requirement(String sentence, Trial trial) {

    /** Tries it on the service. */
    @FunctionalInterface
    interface Trial {
        /** @throws Unmet when the service does otherwise */
        void run() throws Exception;
    }

    /** The service does otherwise; the message says what. */
    static final class Unmet extends Exception {
        private static final long serialVersionUID = 1L;

        Unmet(String message) {
            super(message);
        }
    }

    static void require(boolean met, String otherwise) throws Unmet {
        if (!met) {
            throw new Unmet(otherwise);
        }
    }
}
