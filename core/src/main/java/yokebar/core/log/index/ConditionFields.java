package yokebar.core.log.index;

/** Which facet a condition belongs to. */
final class ConditionFields {
    private ConditionFields() {}

    static boolean about(Condition condition, String field) {
        if (condition instanceof Condition.Like like) {
            return like.field().equals(field);
        }
        if (condition instanceof Condition.Within within) {
            return within.field().equals(field);
        }
        if (condition instanceof Condition.Absent absent) {
            return absent.field().equals(field);
        }
        if (condition instanceof Condition.Either either) {
            return either.conditions().stream().anyMatch(one -> about(one, field))
                    && either.conditions().stream().noneMatch(Condition.Anywhere.class::isInstance);
        }
        return condition instanceof Condition.Started && field.equals(LogFields.YEAR);
    }
}
