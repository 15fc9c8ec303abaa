/** The definitions of contests: those that ship and those that were written here, with what is wrong about one. */
@NullMarked
package yokebar.app.operate.contest.definition;

import org.jspecify.annotations.NullMarked;
