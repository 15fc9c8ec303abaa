/** What nets and contests have in common: completing what was typed with what the position, the call and the callbook say. */
@NullMarked
@ApplicationModule(
        id = "operate.entry",
        allowedDependencies = {"sources.intake", "station.callbook", "station.position", "station.reference"})
package yokebar.app.operate.entry;

import org.jspecify.annotations.NullMarked;
import org.springframework.modulith.ApplicationModule;
