/** The digital link: what digital-mode programs tell and are told, as JSON in datagrams (docs/protocols/digital-link.md). */
@NullMarked
package yokebar.links.sources.digital;

import org.jspecify.annotations.NullMarked;
