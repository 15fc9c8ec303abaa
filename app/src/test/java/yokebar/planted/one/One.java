package yokebar.planted.one;

import yokebar.planted.two.Two;

public record One(Two other) {}
