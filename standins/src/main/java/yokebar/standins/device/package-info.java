/** Simulated radios and a rotator, each on a TCP port and, where socat is there, on a line that looks like a serial port. */
@NullMarked
package yokebar.standins.device;

import org.jspecify.annotations.NullMarked;
