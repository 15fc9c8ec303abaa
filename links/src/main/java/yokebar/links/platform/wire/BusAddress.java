package yokebar.links.platform.wire;

/**
 * A radio on a line that several radios share. The line is opened once, by the first of them, and closed by the last.
 *
 * @param line where the line is
 */
public record BusAddress(DeviceAddress line) implements DeviceAddress {

    @Override
    public Wire open() throws LinkFault {
        return BusLine.join(line);
    }

    @Override
    public String words() {
        return line.words();
    }

    @Override
    public String whenSilent() {
        return line.whenSilent() + " Is its address on the bus right?";
    }

    @Override
    public String whenGarbled() {
        return line.whenGarbled();
    }
}
