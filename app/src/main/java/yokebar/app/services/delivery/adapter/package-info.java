/** What is particular to each kind of service. {@code docs/adding-a-service.md} leads through one. */
@NullMarked
package yokebar.app.services.delivery.adapter;

import org.jspecify.annotations.NullMarked;
