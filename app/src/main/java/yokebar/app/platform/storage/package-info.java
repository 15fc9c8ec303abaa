/** The data folder and its database: one process to a folder, full disks, faults of the disk, many rows at once. */
@NullMarked
@ApplicationModule(
        id = "platform.storage",
        allowedDependencies = {"platform.configuration", "platform.live"})
package yokebar.app.platform.storage;

import org.jspecify.annotations.NullMarked;
import org.springframework.modulith.ApplicationModule;
