/** Reads definitions, the rules of contests and awards as YAML text, and tells the line of everything that is wrong in one. */
@NullMarked
package yokebar.core.platform.definition;

import org.jspecify.annotations.NullMarked;
