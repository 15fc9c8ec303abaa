package yokebar.app.sources.text;

import java.util.List;

/**
 * A program with decoders as the interface shows it.
 *
 * @param hookup the coupling that has its link's state
 * @param decoders the names of its decoders; empty until it has given them
 * @param sendTexts whether it may send texts for the operator
 */
record TextProgramView(long id, String hookup, String name, String address, List<String> decoders, boolean sendTexts) {

    static TextProgramView of(TextProgram program) {
        TextProgramRow row = program.row();
        return new TextProgramView(
                row.number(),
                TextProgram.hookupId(row.number()),
                row.name,
                row.address,
                program.decoders(),
                row.sendTexts);
    }
}
