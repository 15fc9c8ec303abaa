package yokebar.app.station.profile;

/** How dates are written on screen. Files always have them as their format says. */
public enum DateForm {
    /** {@code 2026-05-01} */
    YEAR_FIRST,
    /** {@code 01.05.2026} */
    DAY_FIRST,
    /** {@code 01 May 2026} */
    MONTH_NAMED
}
