package yokebar.planted.two;

import yokebar.planted.one.One;

public record Two(One other) {}
