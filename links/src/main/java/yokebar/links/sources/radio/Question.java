package yokebar.links.sources.radio;

import org.jspecify.annotations.Nullable;

/**
 * Something to ask a radio.
 *
 * @param key what its answer is recognised by
 * @param bytes as they are sent
 * @param only the one part of the state that no other question tells; null when there is none. When a radio does not know the
 *     question, that part has the value of a radio without the function
 * @param insteadOf the key of the question this one replaces while that has no readable answer; null for a question of its own
 */
public record Question(String key, byte[] bytes, @Nullable StatePart only, @Nullable String insteadOf) {

    public static Question of(String key, byte[] bytes) {
        return new Question(key, bytes, null, null);
    }

    public static Question forPart(String key, byte[] bytes, StatePart only) {
        return new Question(key, bytes, only, null);
    }

    public Question inPlaceOf(String otherKey) {
        return new Question(key, bytes, only, otherKey);
    }
}
